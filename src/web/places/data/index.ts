export { DataPage } from './DataPage.tsx';
