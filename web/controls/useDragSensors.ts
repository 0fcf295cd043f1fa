import { MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';

/** A pointer must move so far before it is a drag, px: a tap chooses. */
const DRAG_PX = 6;
/** A finger has to rest on something before it drags it: a quick one scrolls the page; ms and px. */
const HOLD = { delay: 220, tolerance: 8 };

/** Dragging with a mouse or a held finger. */
export function useDragSensors() {
  return useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: DRAG_PX } }),
    useSensor(TouchSensor, { activationConstraint: HOLD }),
  );
}
