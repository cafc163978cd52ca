import { nanoid } from '@reduxjs/toolkit';

/** An id for a piece on hand: letters and digits only, as the job file has them. */
export const newId = (): string => `h${nanoid(10).replace(/[^A-Za-z0-9]/g, '0')}`;
