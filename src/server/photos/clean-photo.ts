/** A picture without the data on where, when and with which camera it was taken. */
export interface CleanPhoto {
  readonly mediaType: 'image/jpeg' | 'image/png';
  readonly picture: Uint8Array<ArrayBuffer>;
}

/**
 * The picture in `bytes`, rebuilt from the parts that make up the image alone; how a JPEG is to be turned is kept.
 * Undefined for anything that is not a whole JPEG or PNG.
 */
export function cleanPhoto(bytes: Uint8Array): CleanPhoto | undefined {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  try {
    if (bytes[0] === 0xff && bytes[1] === 0xd8) return asClean('image/jpeg', cleanJpeg(view));
    if (PNG_SIGNATURE.every((byte, i) => bytes[i] === byte)) return asClean('image/png', cleanPng(view));
  } catch (error) {
    // A length that points beyond the end.
    if (!(error instanceof RangeError)) throw error;
  }
  return undefined;
}

const asClean = (
  mediaType: CleanPhoto['mediaType'],
  parts: readonly Uint8Array[] | undefined,
): CleanPhoto | undefined => parts && { mediaType, picture: new Uint8Array(Buffer.concat(parts)) };

const part = (view: DataView, from: number, until: number): Uint8Array => {
  if (until > view.byteLength) throw new RangeError('cut off');
  return new Uint8Array(view.buffer, view.byteOffset + from, until - from);
};

const MARKER = { app0: 0xe0, app1: 0xe1, app2: 0xe2, app14: 0xee, app15: 0xef, comment: 0xfe } as const;
const START_OF_SCAN = 0xda;
const END_OF_IMAGE = 0xd9;
const START = Uint8Array.of(0xff, 0xd8);
const END = Uint8Array.of(0xff, END_OF_IMAGE);

const startsWith = (view: DataView, at: number, text: string): boolean =>
  Array.from({ length: text.length }, (_, i) => i).every(
    (i) => view.getUint8(at + i) === text.codePointAt(i),
  );

/** Color profiles and what decoders need stay; Exif, XMP, comments and makers' segments go. */
function staysIn(view: DataView, marker: number, at: number): boolean {
  if (marker === MARKER.app0 || marker === MARKER.app14) return true;
  if (marker === MARKER.app2) return startsWith(view, at + 4, 'ICC_PROFILE');
  return !(marker >= MARKER.app0 && marker <= MARKER.app15) && marker !== MARKER.comment;
}

/** Segments from the start of the image to its end; what follows the end (clips, previews) is left out. */
function cleanJpeg(view: DataView): Uint8Array[] | undefined {
  const kept: Uint8Array[] = [];
  let turned = 1;
  let hasScan = false;
  let at = 2;
  while (at + 2 <= view.byteLength) {
    if (view.getUint8(at) !== 0xff) return undefined;
    const marker = view.getUint8(at + 1);
    if (marker === END_OF_IMAGE) return hasScan ? [START, ...turnedBy(turned), ...kept, END] : undefined;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    const end = at + 2 + view.getUint16(at + 2);
    if (marker === MARKER.app1) turned = orientationIn(view, at, end) ?? turned;
    if (staysIn(view, marker, at)) kept.push(part(view, at, end));
    at = end;
    if (marker === START_OF_SCAN) {
      hasScan = true;
      at = endOfScan(view, at);
      kept.push(part(view, end, at));
    }
  }
  return undefined;
}

/** Where the coded data of a scan ends: at the next marker that is neither stuffing nor a restart. */
function endOfScan(view: DataView, from: number): number {
  const bytes = new Uint8Array(view.buffer, view.byteOffset, view.byteLength);
  for (
    let at = bytes.indexOf(0xff, from);
    at >= 0 && at + 1 < bytes.length;
    at = bytes.indexOf(0xff, at + 1)
  ) {
    const next = bytes[at + 1]!;
    if (next !== 0 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return at;
  }
  throw new RangeError('cut off');
}

const ORIENTATION_TAG = 0x0112;

/** How the picture is to be turned, 1 to 8, as an Exif segment says it. */
function orientationIn(view: DataView, at: number, end: number): number | undefined {
  if (!startsWith(view, at + 4, 'Exif')) return undefined;
  const tiff = at + 10;
  const isLittle = view.getUint16(tiff) === 0x4949;
  const directory = tiff + view.getUint32(tiff + 4, isLittle);
  const count = view.getUint16(directory, isLittle);
  for (let i = 0; i < count; i++) {
    const field = directory + 2 + i * 12;
    if (field + 12 > end) return undefined;
    if (view.getUint16(field, isLittle) !== ORIENTATION_TAG) continue;
    const value = view.getUint16(field + 8, isLittle);
    return value >= 1 && value <= 8 ? value : undefined;
  }
  return undefined;
}

/** An Exif segment that says how to turn the picture and nothing else; none for one that stands upright. */
function turnedBy(orientation: number): Uint8Array[] {
  if (orientation === 1) return [];
  const exif = [0x45, 0x78, 0x69, 0x66, 0, 0];
  const tiff = [0x4d, 0x4d, 0, 0x2a, 0, 0, 0, 8];
  const directory = [0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, orientation, 0, 0, 0, 0, 0, 0];
  const body = [...exif, ...tiff, ...directory];
  return [Uint8Array.from([0xff, MARKER.app1, 0, body.length + 2, ...body])];
}

const PNG_SIGNATURE = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
/** Chunks that make up the image; anything else may tell about its maker. */
const PNG_CHUNKS = new Set('IHDR PLTE IDAT IEND tRNS gAMA cHRM sRGB iCCP sBIT bKGD pHYs'.split(' '));

function cleanPng(view: DataView): Uint8Array[] | undefined {
  const kept: Uint8Array[] = [Uint8Array.from(PNG_SIGNATURE)];
  let at = PNG_SIGNATURE.length;
  while (at + 12 <= view.byteLength) {
    const end = at + 12 + view.getUint32(at);
    const name = String.fromCodePoint(...part(view, at + 4, at + 8));
    if (PNG_CHUNKS.has(name)) kept.push(part(view, at, end));
    if (name === 'IEND') return kept.length > 3 ? kept : undefined;
    at = end;
  }
  return undefined;
}
