/** What has changed since somebody looked, and when to look again. The room's own face, for other layers. */
export * from './differences';
export * from './drift';
export * from './rhythm';
export * from './trigger';
export * from './watch-name';
export * from './watched';
export * from './watched-fields';
export * from './why-new';
