import { QueryTypes } from 'sequelize';
import { database } from '../database/connection';
import { findBrief } from './briefs';

/** A mark that changes whenever a trial, a verdict, a choice or who is who changes: by it, open pages know that there is something new. */
export async function markOf(briefId: string): Promise<{ mark: string }> {
  const { personaId } = await findBrief(briefId);
  const [row] = await database().query<{ mark: string }>(
    `SELECT md5(concat_ws('/',
       (SELECT concat(count(*), max(updated_at)) FROM verdicts WHERE persona_id = :personaId),
       (SELECT concat(count(*), max(updated_at)) FROM judgements WHERE persona_id = :personaId),
       (SELECT concat(count(*), max(t.created_at), string_agg(t.state, '' ORDER BY t.id), sum(t.sample_size)) FROM trials t JOIN versions v ON v.id = t.version_id WHERE v.brief_id = :briefId),
       (SELECT concat(count(*), max(updated_at)) FROM notes WHERE persona_id = :personaId),
       (SELECT concat(count(*), max(updated_at)) FROM same_person),
       (SELECT string_agg(concat(kind, revision), '' ORDER BY kind) FROM documents WHERE brief_id = :briefId)
     )) AS mark`,
    { replacements: { personaId, briefId }, type: QueryTypes.SELECT }
  );
  return { mark: row!.mark };
}
