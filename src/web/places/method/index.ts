export { ChecksPage } from './ChecksPage.tsx';
export { MethodPage } from './MethodPage.tsx';
