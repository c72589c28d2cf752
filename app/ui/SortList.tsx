import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import type { DragEndEvent } from "@dnd-kit/core";
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { useId } from "react";
import type { ReactNode } from "react";
import { Button } from "react-bootstrap";
import { Icon } from "./Icon";
import { uiWords } from "./words";

const byPointer = { activationConstraint: { distance: 4 } };
const byKeys = { coordinateGetter: sortableKeyboardCoordinates };

/** What is told while one moves an item stands in the page, not in the list. */
const spoken = () => (typeof document === "undefined" ? {} : { container: document.body });

/**
 * A list whose items are dragged into another order; `onMove` tells where one was put, counted
 * without it.
 */
export const SortList = ({
  ids,
  onMove,
  children,
}: {
  ids: readonly string[];
  onMove: (id: string, index: number) => void;
  children: ReactNode;
}) => {
  const sensors = useSensors(
    useSensor(PointerSensor, byPointer),
    useSensor(KeyboardSensor, byKeys),
  );
  // without an id of its own the server and the browser would count differently
  const id = useId();
  const end = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) onMove(String(active.id), ids.indexOf(String(over.id)));
  };
  return (
    <DndContext
      id={id}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={end}
      accessibility={spoken()}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
};

/** An item of such a list: its grip is dragged, or moved with Space and the arrow keys. */
export const SortItem = ({
  id,
  name,
  as: Tag = "div",
  className,
  role,
  children,
}: {
  id: string;
  name: string;
  as?: "div" | "li";
  className?: string;
  role?: string;
  children: (grip: ReactNode) => ReactNode;
}) => {
  const {
    attributes,
    listeners,
    setNodeRef,
    setActivatorNodeRef,
    transform,
    transition,
    isDragging,
  } = useSortable({ id });
  const grip = (
    <Button
      variant="grip"
      ref={setActivatorNodeRef}
      {...attributes}
      {...listeners}
      aria-label={uiWords.reorder(name)}
      title={uiWords.dragReorderOrSpace}
    >
      <Icon name="grip" size={13} />
    </Button>
  );
  return (
    <Tag
      ref={setNodeRef}
      className={className}
      role={role}
      style={{
        transform: transform ? `translateY(${transform.y}px)` : undefined,
        transition,
        position: "relative",
        zIndex: isDragging ? 5 : undefined,
        opacity: isDragging ? 0.8 : undefined,
      }}
    >
      {children(grip)}
    </Tag>
  );
};
