export { LabelsPage } from './LabelsPage.tsx';
