export { YearsPage } from './YearsPage.tsx';
