import { ServiceFault } from '$sources/connector/service-fault';
import { Refused, TimedOut } from '$sources/faults';
import { isDiskFull } from '../../database/away';
import type { SourceRow } from '../../database/models';
import { Refusal } from '../../refusal';

/** Why asking failed for good, in a sentence for a person; null where it was no fault of the source. */
export function faultOfSource({ name }: SourceRow, error: unknown): string | null {
  const kept = 'The pages that came are kept: let it go on when it is mended.';
  if (error instanceof ServiceFault)
    return `${name}: ${error.message}${error.again ? ', though it was asked several times.' : ''} ${kept}`;
  if (error instanceof TimedOut || error instanceof Refused)
    return `${name}: ${error.message}, though it was asked several times. ${kept}`;
  return null;
}

/** Why a job that asks sources broke off, in a sentence; what only its makers understand is in the log. */
export function whyItBrokeOff(error: unknown, source?: SourceRow): string {
  if (isDiskFull(error)) return 'There is no room left on the disk of the database. Make room, then let it go on.';
  if (error instanceof Refusal) return error.message;
  return (
    (source && faultOfSource(source, error)) ??
    'It broke off by a fault in Eave itself; the server’s log tells more. The pages that came are kept: let it go on.'
  );
}
