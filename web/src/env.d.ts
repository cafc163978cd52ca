/// <reference types="vite/client" />
declare module '*.css';
declare module '@fontsource/*';
/** Which build of the program this is. */
declare const __PROGRAM__: string;
