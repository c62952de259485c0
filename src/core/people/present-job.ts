import type { Job, Person } from './person';

type HasJobs = Pick<Person, 'jobs'>;

/** A person's present job; undefined where none is listed. */
export const presentJob = ({ jobs }: HasJobs): Job | undefined => jobs?.find(({ to }) => !to);

/** The job shown for a person: the present one, else the first listed. */
export const leadingJob = (person: HasJobs): Job | undefined => presentJob(person) ?? person.jobs?.[0];
