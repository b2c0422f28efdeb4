// Tests that start a server start the same file as the commands do, built once.
import { buildServer } from '../scripts/serve.mjs';

export const setup = () => {
  buildServer();
};
