import { Tokenizer, TokenizerError, TokenParser, TokenParserError, TokenType } from '@streamparser/json';
import { createHash } from 'node:crypto';
import { setImmediate as othersFirst } from 'node:timers/promises';
import { photoFiled } from '../../contract/garden-file.ts';
import { findingsOf } from '../../contract/problem-fields.ts';
import { finding, refusal } from '../../refusals/refusal.ts';
import { DEEPEST_JSON, nestedTooDeep, tooLarge } from '../bodies.ts';
import { describeFinding } from '../../words/refusal-words.ts';
import { cleanPhoto } from '../photos/clean-photo.ts';
import type { PhotoStage } from '../photos/photo-files.ts';
import { invalid, ProblemError } from '../problems.ts';

const MEGABYTE = 1024 * 1024;
/** Of all but the photos. */
const LARGEST_RECORDS_BYTES = 64 * MEGABYTE;
/** A picture of 8 MB as base64. */
const LARGEST_PHOTO_CHARACTERS = 11 * MEGABYTE;
const LARGEST_FILE_BYTES = 4096 * MEGABYTE;
/** Long texts are gathered as bytes up to here. */
const TEXT_BUFFER_BYTES = 64 * 1024;
/** So much of a file is read before others are seen to. */
const AT_ONCE_BYTES = 64 * 1024;

/** A photo out of a file; its picture lies ready. */
export interface IncomingPhoto {
  readonly id: string;
  readonly createdAt: string;
  readonly mediaType: string;
  readonly bytes: number;
  readonly sentSha256: string;
  /** Makes the picture one of those kept. */
  readonly keepAs: (id: string) => void;
}

/** What a garden file holds, of its records nothing checked. */
export interface IncomingGarden {
  readonly records: unknown;
  readonly photos: readonly IncomingPhoto[];
}

const keptNowhere = () => undefined;

function incomingPhoto(raw: unknown, index: number, stage: PhotoStage | null): IncomingPhoto {
  const read = photoFiled.safeParse(raw);
  if (!read.success) {
    const issues = read.error.issues.map((issue) => ({ ...issue, path: ['photos', index, ...issue.path] }));
    throw invalid(findingsOf({ issues }));
  }
  const { id, createdAt, mediaType, base64 } = read.data;
  const sent = new Uint8Array(Buffer.from(base64, 'base64'));
  const clean = cleanPhoto(sent);
  if (clean?.mediaType !== mediaType) {
    const detail = `The photo ${id} is not a whole picture of the kind ${mediaType}; nothing was saved.`;
    const errors = [describeFinding(finding(refusal('notAPicture'), `photos.${index}.base64`))];
    throw new ProblemError(422, 'Not accepted', detail, { errors });
  }
  return {
    id,
    createdAt,
    mediaType,
    bytes: clean.picture.length,
    sentSha256: createHash('sha256').update(sent).digest('hex'),
    keepAs: stage?.put(clean.picture) ?? keptNowhere,
  };
}

/** Follows how deep the brackets of a text lie in each other. */
function depthGuard(): (token: TokenType) => void {
  let depth = 0;
  return (token) => {
    if (token === TokenType.LEFT_BRACE || token === TokenType.LEFT_BRACKET) depth += 1;
    if (token === TokenType.RIGHT_BRACE || token === TokenType.RIGHT_BRACKET) depth -= 1;
    if (depth > DEEPEST_JSON) throw nestedTooDeep();
  };
}

/** Takes a garden file piece by piece; each picture leaves memory as soon as it has come. */
function gardenReader(stage: PhotoStage | null) {
  const tokenizer = new Tokenizer({ stringBufferSize: TEXT_BUFFER_BYTES });
  const parser = new TokenParser({ paths: ['$.photos.*', '$'] });
  const guardDepth = depthGuard();
  const photos: IncomingPhoto[] = [];
  let records: unknown;
  let bytes = 0;
  let photoCharacters = 0;
  tokenizer.onToken = (token) => {
    guardDepth(token.token);
    parser.write(token);
  };
  parser.onValue = ({ value, key, parent }) => {
    if (parent === undefined) {
      records = value;
      return;
    }
    const photo = incomingPhoto(value, photos.length, stage);
    photos.push(photo);
    photoCharacters += (value as { readonly base64: string }).base64.length;
    Object.assign(parent, { [key!]: { id: photo.id } });
  };
  return {
    take: (piece: Uint8Array) => {
      bytes += piece.length;
      if (bytes > LARGEST_FILE_BYTES) throw tooLarge('4 GB');
      const isTooLong = bytes - photoCharacters > LARGEST_RECORDS_BYTES + LARGEST_PHOTO_CHARACTERS;
      if (isTooLong) throw tooLarge('64 MB beside its photos');
      tokenizer.write(piece);
    },
    whole: (): IncomingGarden | null => (parser.isEnded ? { records, photos } : null),
  };
}

const notJson = (): ProblemError =>
  new ProblemError(400, 'Not accepted', 'That is not JSON, or only the first part of it; nothing was saved.');

/**
 * Reads a garden file as it comes in. Its photos go to `stage`, or are only looked at without one. Throws a problem for what
 * is no JSON, too large, or a photo that is none.
 */
export async function readGardenFile(
  body: ReadableStream<Uint8Array> | null,
  stage: PhotoStage | null,
): Promise<IncomingGarden> {
  const garden = gardenReader(stage);
  const pieces = body?.getReader();
  try {
    for (;;) {
      const piece = await pieces?.read();
      if (!piece || piece.done) break;
      for (let from = 0; from < piece.value.length; from += AT_ONCE_BYTES) {
        garden.take(piece.value.subarray(from, from + AT_ONCE_BYTES));
        await othersFirst();
      }
    }
  } catch (error) {
    throw error instanceof TokenizerError || error instanceof TokenParserError ? notJson() : error;
  } finally {
    pieces?.releaseLock();
  }
  const whole = garden.whole();
  if (!whole) throw notJson();
  return whole;
}
