import exifr from 'exifr';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { grayJpeg, grayPng, phoneJpeg, talkativePng } from '../../../tests/fixtures/photos.ts';
import { cleanPhoto } from './clean-photo.ts';

describe('a photo that is kept', () => {
  it('has lost where it was taken and with what, and is still turned the right way', async () => {
    const sent = phoneJpeg();
    const before = (await exifr.parse(Buffer.from(sent))) as Record<string, unknown>;
    expect(before).toMatchObject({ Make: 'Phonemaker', latitude: 52.5 });
    const { mediaType, picture } = cleanPhoto(sent)!;
    expect(mediaType).toBe('image/jpeg');
    expect(await exifr.gps(Buffer.from(picture))).toBeUndefined();
    expect(await exifr.parse(Buffer.from(picture), { translateValues: false })).toEqual({ Orientation: 6 });
    expect(Buffer.from(picture).includes('Phonemaker')).toBe(false);
  });
  it('without anything to lose is the same picture', () => {
    expect(Buffer.from(cleanPhoto(grayJpeg())!.picture)).toEqual(Buffer.from(grayJpeg()));
    expect(Buffer.from(cleanPhoto(grayPng())!.picture)).toEqual(Buffer.from(grayPng()));
  });
  it('loses what comes after its end, and the texts of a PNG', () => {
    const clip = new Uint8Array(Buffer.concat([grayJpeg(), Buffer.from('a clip with a voice')]));
    expect(cleanPhoto(clip)!.picture).toHaveLength(grayJpeg().length);
    const { mediaType, picture } = cleanPhoto(talkativePng())!;
    expect(mediaType).toBe('image/png');
    expect(Buffer.from(picture)).toEqual(Buffer.from(grayPng()));
  });
  it.each([
    ['text', new Uint8Array(Buffer.from('not a photo'))],
    ['nothing', new Uint8Array()],
    ['half a JPEG', phoneJpeg().slice(0, 300)],
    ['half a PNG', grayPng().slice(0, 40)],
    ['a JPEG without a picture', Uint8Array.of(0xff, 0xd8, 0xff, 0xd9)],
  ])('is not %s', (_, bytes) => expect(cleanPhoto(bytes)).toBeUndefined());
  it('never breaks on what only begins like one', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), fc.boolean(), (tail, isPng) => {
        const head = isPng ? grayPng().slice(0, 8) : grayJpeg().slice(0, 2);
        const result = cleanPhoto(new Uint8Array([...head, ...tail]));
        if (result) expect(result.picture.length).toBeLessThanOrEqual(head.length + tail.length + 40);
      }),
    );
  });
});
