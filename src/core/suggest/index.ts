/** Changes to a string, and explanations of what it finds. The face of this room for other layers. */
export * from './change';
export * from './change-schema';
export * from './effect';
export * from './explain';
export * from './lacking-reasons';
export * from './measure';
export * from './proposal-kinds';
export * from './proposal-order';
export * from './propose';
export * from './why-lacking';
