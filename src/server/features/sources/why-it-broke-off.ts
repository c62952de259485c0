import { ServiceFault } from '$sources/connector/service-fault';
import { Refused, TimedOut } from '$sources/faults';
import { isDiskFull } from '$server/platform/database/away';
import type { SourceRow } from '$server/platform/database/models';
import { Refusal } from '$server/platform/refusal';

/** Why asking failed for good, in a sentence for a person; null where it was no fault of the source. */
export function faultOfSource({ name }: SourceRow, error: unknown): string | null {
  const kept = 'The pages collected so far are saved. Resume when it’s fixed.';
  if (error instanceof ServiceFault)
    return `${name}: ${error.message}${error.again ? ', though it was asked several times.' : ''} ${kept}`;
  if (error instanceof TimedOut || error instanceof Refused)
    return `${name}: ${error.message}, though it was asked several times. ${kept}`;
  return null;
}

/** Why a job that asks sources broke off, in a sentence; what only its makers understand is in the log. */
export function whyItBrokeOff(error: unknown, source?: SourceRow): string {
  if (isDiskFull(error)) return 'The database’s disk is full. Free up space, then resume.';
  if (error instanceof Refusal) return error.message;
  return (
    (source && faultOfSource(source, error)) ??
    'Something went wrong in Eave; the server’s log has the details. The pages collected so far are saved: resume it.'
  );
}
