export { TrialsPage } from './TrialsPage.tsx';
