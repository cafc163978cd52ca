/**
 * What goes over the wire: every question that can be asked of the server, with what is sent and what it answers. In:
 * the schemas of the rooms before. Out: one list that the server answers by and the web asks by.
 */
export * from './route';
export * from './routes';
