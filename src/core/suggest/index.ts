/** Changes of a string, and why it finds whom it finds. The room's own face, for other layers. */
export * from './change';
export * from './explain';
export * from './propose';
export * from './why-lacking';
