import { QueryTypes } from 'sequelize';
import { database } from '$server/platform/database/connection';

/** A mark that changes whenever a trial, a verdict, a choice or who is who changes: by it, open pages know that there is something new. Empty where the brief is not there any more. */
export async function markOf(briefId: string): Promise<string> {
  const [row] = await database().query<{ mark: string }>(
    `SELECT md5(concat_ws('/', b.revision,
       (SELECT concat(count(*), max(updated_at)) FROM verdicts WHERE persona_id = b.persona_id),
       (SELECT concat(count(*), max(updated_at)) FROM judgements WHERE persona_id = b.persona_id),
       (SELECT concat(count(*), max(t.created_at), string_agg(t.state, '' ORDER BY t.id), sum(t.sample_size)) FROM trials t JOIN versions v ON v.id = t.version_id WHERE v.brief_id = b.id),
       (SELECT concat(count(*), sum(h.revision)) FROM hand_entries h JOIN versions v ON v.id = h.version_id WHERE v.brief_id = b.id),
       (SELECT concat(count(*), max(updated_at)) FROM notes WHERE persona_id = b.persona_id),
       (SELECT concat(count(*), max(updated_at)) FROM same_person),
       (SELECT concat(count(*), sum(hashtext(concat(number, name, note)))) FROM versions WHERE brief_id = b.id),
       (SELECT string_agg(concat(kind, revision), '' ORDER BY kind) FROM documents WHERE brief_id = b.id)
     )) AS mark FROM briefs b WHERE b.id = $briefId`,
    { bind: { briefId }, type: QueryTypes.SELECT }
  );
  return row?.mark ?? '';
}
