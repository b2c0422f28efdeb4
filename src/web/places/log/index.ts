export { LogPage } from './LogPage.tsx';
