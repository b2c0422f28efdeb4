export { PalePage } from './PalePage.tsx';
