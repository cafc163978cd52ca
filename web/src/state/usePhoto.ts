import { addressOf, ROUTES } from '@sill/core/contract';
import { choosePhoto, smallPhoto } from '../platform/photos';
import { useEdges } from './hooks';

/** Where a photo that the server keeps is seen. */
export const photoAddress = (id: string): string => addressOf(ROUTES.photo, { params: { id } });

/** Takes a photo and hands it to the server; its id, or null where none was taken. */
export function usePhoto(): () => Promise<string | null> {
  const { ask } = useEdges();
  return async () => {
    const file = await choosePhoto();
    if (file === null) return null;
    const { id } = await ask('keepPhoto', { body: await smallPhoto(file) });
    return id;
  };
}
