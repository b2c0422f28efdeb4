export { YearPage } from './YearPage.tsx';
