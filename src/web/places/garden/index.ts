export { GardenPage } from './GardenPage.tsx';
