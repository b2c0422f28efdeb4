export { LogPage } from './LogPage.tsx';
export { WholeLogPage } from './WholeLogPage.tsx';
