export { LoginPage } from './LoginPage.tsx';
