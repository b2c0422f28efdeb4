export { Welcome } from './Welcome.tsx';
