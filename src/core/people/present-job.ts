import type { Job, Person } from './person';

type HasJobs = Pick<Person, 'jobs'>;

/** The job that a person holds now, as their record tells; undefined where none is told. */
export const presentJob = ({ jobs }: HasJobs): Job | undefined => jobs?.find(({ to }) => !to);

/** The job that a person is spoken of by: the present one, else the first that is told. */
export const leadingJob = (person: HasJobs): Job | undefined => presentJob(person) ?? person.jobs?.[0];
