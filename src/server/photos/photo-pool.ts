import { copyFileSync, existsSync, linkSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

const pictures = (folder: string): string[] =>
  existsSync(folder) ? readdirSync(folder).filter((name) => !name.includes('.')) : [];

/** The same file in another folder; on one disk it takes no room. */
function put(from: string, to: string): void {
  try {
    linkSync(from, to);
  } catch {
    copyFileSync(from, to);
  }
}

/** Pictures of `from` that `to` lacks. */
export function picturesMissing(from: string, to: string): string[] {
  const there = new Set(pictures(to));
  return pictures(from).filter((name) => !there.has(name));
}

/** Puts every picture of `from` that `to` lacks there too. Pictures never change, so that one copy serves every backup. */
export function addPictures(from: string, to: string): void {
  const missing = picturesMissing(from, to);
  if (missing.length > 0) mkdirSync(to, { recursive: true });
  for (const name of missing) put(join(from, name), join(to, name));
}

/** Puts back the pictures of these ids that are gone. */
export function putBackPictures(
  ids: readonly string[],
  { from, to }: { readonly from: string; readonly to: string },
): void {
  for (const id of ids) {
    const [kept, gone] = [join(from, id), join(to, id)];
    if (existsSync(gone) || !existsSync(kept)) continue;
    mkdirSync(to, { recursive: true });
    put(kept, gone);
  }
}
