export { LoginPage } from './LoginPage.tsx';
export { LookPage } from './LookPage.tsx';
