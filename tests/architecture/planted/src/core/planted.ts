// Planted: the core may not import from the server. The import check must find it.
export { planted } from '../server/planted.ts';
