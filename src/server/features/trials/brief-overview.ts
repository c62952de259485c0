import { describePersona, personaSchema } from '$core/persona';
import { QueryTypes } from 'sequelize';
import { database } from '$server/platform/database/connection';
import { notFound } from '$server/platform/refusals';
import { contextOf, peopleJudged } from './brief-context';

/** A brief as lists show it, in one question to the database: what it holds, and what was chosen for each source. */
interface Listed {
  id: string;
  name: string;
  archived: boolean;
  demo: boolean;
  revision: number;
  createdAt: Date;
  updatedAt: Date;
  persona: unknown;
  wordingsInUse: number;
  versions: number;
  verdicts: number;
  harvested: number | null;
  shortlisted: number | null;
  certainOnly: boolean;
  leftOut: string[];
  chosen: { sourceId: string; source: string; version: number; name: string; note: string; trialId: string }[];
}
const listed = `
  SELECT b.id, b.name, b.archived_at IS NOT NULL AS archived, b.demo, b.revision, b.created_at AS "createdAt", b.updated_at AS "updatedAt",
    (SELECT body FROM documents WHERE brief_id = b.id AND kind = 'persona') AS persona,
    (SELECT count(*) FROM documents d, jsonb_array_elements(d.body) s, jsonb_array_elements(s -> 'wordings') w
      WHERE d.brief_id = b.id AND d.kind = 'wording' AND coalesce((w ->> 'inUse')::boolean, true))::int AS "wordingsInUse",
    (SELECT coalesce(max(number), 0) FROM versions WHERE brief_id = b.id) AS versions,
    (SELECT count(*) FROM verdicts WHERE persona_id = b.persona_id)::int AS verdicts,
    (SELECT people FROM harvests WHERE brief_id = b.id AND watch_id IS NULL ORDER BY created_at DESC LIMIT 1) AS harvested,
    (SELECT CASE WHEN count(*) > 0 THEN sum((SELECT count(*) FROM shortlist_people p WHERE p.shortlist_id = l.id))::int END
      FROM shortlists l WHERE l.brief_id = b.id) AS shortlisted,
    coalesce((c.body ->> 'certainOnly')::boolean, false) AS "certainOnly",
    coalesce(c.body -> 'leftOut', '[]') AS "leftOut",
    (SELECT coalesce(jsonb_agg(jsonb_build_object('sourceId', s.id, 'source', s.name, 'version', v.number, 'name', v.name,
        'note', w.winner ->> 'note', 'trialId', t.id) ORDER BY w.place), '[]')
      FROM jsonb_array_elements(c.body -> 'winners') WITH ORDINALITY AS w (winner, place)
      JOIN sources s ON s.id = w.winner ->> 'sourceId'
      JOIN versions v ON v.brief_id = b.id AND v.number = (w.winner ->> 'version')::int
      JOIN LATERAL (SELECT id FROM trials WHERE version_id = v.id AND source_id = s.id AND state = 'done'
        ORDER BY created_at DESC LIMIT 1) t ON true) AS chosen
  FROM briefs b JOIN documents c ON c.brief_id = b.id AND c.kind = 'choice'`;

const serializeListed = ({ persona, createdAt, updatedAt, ...row }: Listed) => ({
  ...row,
  createdAt: createdAt.toISOString(),
  updatedAt: updatedAt.toISOString(),
  sentence: describePersona(personaSchema.parse(persona))
});

/** A brief as lists show it, and how many people were judged, each once however many records of theirs were. */
export async function readBrief(id: string) {
  const [[brief], judged] = await Promise.all([
    database().query<Listed>(`${listed} WHERE b.id = $id`, { bind: { id }, type: QueryTypes.SELECT }),
    contextOf(id).then(peopleJudged)
  ]);
  if (!brief) throw notFound('This brief');
  return { ...serializeListed(brief), judged };
}

export async function listBriefs() {
  const briefs = await database().query<Listed>(`${listed} ORDER BY b.updated_at DESC`, { type: QueryTypes.SELECT });
  return briefs.map(serializeListed);
}
