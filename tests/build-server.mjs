// Tests that start a server or the terminal start the same files as the commands do, built once.
import { buildServer, buildTerminal } from '../scripts/serve.mjs';

export const setup = () => {
  buildServer();
  buildTerminal();
};
