export { BedPage } from './BedPage.tsx';
export { PrintSheet } from './PrintSheet.tsx';
