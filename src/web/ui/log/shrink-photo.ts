const LONGEST_SIDE = 1600;
const QUALITY = 0.85;

/**
 * A photo redrawn, upright and no larger than a screen: small enough for a phone's connection, and without what the
 * camera wrote into it. What cannot be drawn is sent as it is, and the books say whether it is a photo.
 */
export async function shrinkPhoto(file: Blob): Promise<Blob> {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file);
  } catch {
    return file;
  }
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((resolve) => canvas.toBlob((blob) => resolve(blob ?? file), 'image/jpeg', QUALITY));
}
