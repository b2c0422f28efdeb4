import { z } from 'zod';
export const uses = z;
