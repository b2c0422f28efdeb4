export { WaysPage } from './WaysPage.tsx';
