/** Files and texts that come in and go out. The room's own face, for other layers. */
export * from './clean-pasted';
export * from './column-fields';
export * from './columns';
export * from './csv';
export * from './customers-file';
export * from './named-sets-file';
export * from './own-columns';
export * from './page-fields';
export * from './person-from-row';
export * from './read-count';
export * from './read-result-page';
export * from './report';
export * from './safe-json';
export * from './standard-fields';
export * from './standard-values';
export * from './trec';
export * from './wordings-file';
