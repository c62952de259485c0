import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import {
  attachInstruction,
  extractInstruction,
  type Operation
} from '@atlaskit/pragmatic-drag-and-drop-hitbox/list-item';
import type { Path } from '$core/language';

interface Row {
  path: Path;
  isGroup: boolean;
  enabled: boolean;
  /** Called while something is dragged over the row, and with null when it has left. */
  hover: (operation: Operation | null) => void;
  drop: (from: Path, operation: Operation) => void;
}

/** Makes an element a line that can be dragged, and dropped before, behind or (for a group) into another. */
export function draggableRow(element: HTMLElement, row: Row) {
  let now = row;
  const stop = combine(
    draggable({ element, canDrag: () => now.enabled, getInitialData: () => ({ path: now.path }) }),
    dropTargetForElements({
      element,
      canDrop: ({ source }) => now.enabled && Array.isArray(source.data.path),
      getData: ({ input, element: over }) =>
        attachInstruction(
          {},
          {
            input,
            element: over,
            operations: {
              'reorder-before': 'available',
              'reorder-after': 'available',
              combine: now.isGroup ? 'available' : 'not-available'
            }
          }
        ),
      onDrag: ({ self }) => now.hover(extractInstruction(self.data)?.operation ?? null),
      onDragLeave: () => now.hover(null),
      onDrop: ({ self, source }) => {
        now.hover(null);
        const operation = extractInstruction(self.data)?.operation;
        if (operation) now.drop(source.data.path as Path, operation);
      }
    })
  );
  return {
    update: (next: Row) => {
      now = next;
    },
    destroy: stop
  };
}
