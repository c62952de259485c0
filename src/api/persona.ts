import { documentSchemas } from './documents';
import { keptDocument } from './operation';
import { paths } from './paths';
import { brief } from './shapes';

const document = keptDocument([paths.readPersona, paths.writePersona], documentSchemas.persona, {
  params: brief
});

/** Who is looked for. */
export const persona = {
  readPersona: document.read,
  writePersona: document.write
};
