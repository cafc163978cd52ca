/**
 * Files for other programs that need a writer of their own. In: templates and parts. Out: DXF and glTF. Loaded when
 * asked for, by the interface and the command line.
 */
export * from './dxf';
export * from './gltf';
