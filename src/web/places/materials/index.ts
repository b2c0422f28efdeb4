export { MaterialsPage } from './MaterialsPage.tsx';
