/** Longest side of a photo that is kept, in pixels: enough to see a knot, small enough for a phone's signal. */
const LONGEST_SIDE = 1280;

/** Asks the person for a photo, from the camera on a phone. Null where none was taken. */
export function choosePhoto(): Promise<File | null> {
  return new Promise((done) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = 'image/*';
    input.onchange = () => done(input.files?.[0] ?? null);
    input.oncancel = () => done(null);
    input.click();
  });
}

/** The same photo as a JPEG, no longer than it need be. Throws where the file is no picture. */
export async function smallPhoto(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error('This file is no picture that can be read. Choose a JPEG, PNG or WebP file.');
  });
  const share = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * share));
  canvas.height = Math.max(1, Math.round(picture.height * share));
  sure(canvas.getContext('2d'), 'drawing context').drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((done, fail) =>
    canvas.toBlob(
      (blob) => (blob ? done(blob) : fail(new Error('The photo could not be made smaller.'))),
      'image/jpeg',
      0.8,
    ),
  );
}
import { sure } from '@sill/core';
