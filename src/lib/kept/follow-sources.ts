import { watchAll } from './changes';
import { reload } from './reload';

/**
 * Reloads the sources whenever one changes. What was being prepared when the page was loaded may have become ready before changes
 * were heard: then they are loaded once more. Returns what stops it.
 */
export const followSources = (sources: () => readonly { readiness: { state: string } }[]): (() => void) =>
  watchAll(
    (changed) => {
      if (changed.sources) void reload('eave:sources');
    },
    () => {
      if (sources().some(({ readiness }) => readiness.state === 'preparing')) void reload('eave:sources');
    }
  );
