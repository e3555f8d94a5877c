import { chakra } from "@chakra-ui/react";
import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
  type DragEndEvent,
} from "@dnd-kit/core";
import {
  SortableContext,
  arrayMove,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical } from "lucide-react";
import { useState } from "react";
import { PlainList, Quiet } from "~/ui/theme/parts";
import type { RoundPreviewView } from "~/views/round/round-view";
import { StopLine } from "./StopLine";

type StopShown = RoundPreviewView["stops"][number];

interface SortStopsProps {
  stops: readonly StopShown[];
  onSort: (keys: string[]) => void;
}

/** The stops of a walk, to be dragged into another order by mouse, thumb or keys. */
export default function SortStops({ stops, onSort }: SortStopsProps) {
  const [keys, setKeys] = useState(() => stops.map((s) => s.key));
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const nameOf = (key: unknown) => stops.find((s) => s.key === key)?.bed ?? "";
  const placeOf = (key: unknown) => `${keys.indexOf(String(key)) + 1} of ${keys.length}`;
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const moved = arrayMove(keys, keys.indexOf(String(active.id)), keys.indexOf(String(over.id)));
    setKeys(moved);
    onSort(moved);
  };
  const shown = keys.flatMap((key) => stops.find((s) => s.key === key) ?? []);
  return (
    <>
      <Quiet marginBottom="6px">Drag a bed by its handle; or Space, arrows, Space.</Quiet>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
        accessibility={{
          screenReaderInstructions: {
            draggable: "Space takes the bed up, arrows move it, Space lets it go, Escape puts it back.",
          },
          announcements: {
            onDragStart: ({ active }) => `${nameOf(active.id)} is taken up.`,
            onDragOver: ({ active, over }) =>
              over ? `${nameOf(active.id)} comes at place ${placeOf(over.id)}.` : undefined,
            onDragEnd: ({ active, over }) =>
              over ? `${nameOf(active.id)} stands at place ${placeOf(over.id)}.` : undefined,
            onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
          },
        }}
      >
        <SortableContext items={keys} strategy={verticalListSortingStrategy}>
          <PlainList as="ol">
            {shown.map((stop) => (
              <SortableStop key={stop.key} stop={stop} />
            ))}
          </PlainList>
        </SortableContext>
      </DndContext>
    </>
  );
}

function SortableStop({ stop }: { stop: StopShown }) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({ id: stop.key }); // prettier-ignore
  return (
    <StopLine
      stop={stop}
      itemRef={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition, opacity: isDragging ? 0.6 : 1 }}
      handle={
        <chakra.button
          ref={setActivatorNodeRef}
          type="button"
          {...attributes}
          {...listeners}
          aria-label={`Move ${stop.bed}${stop.part === "later" ? ", once dry" : ""}`}
          flexShrink="0"
          width="48px"
          minHeight="48px"
          display="grid"
          placeItems="center"
          cursor="grab"
          background="card"
          border="1px solid"
          borderColor="line"
          borderRadius="seed"
          style={{ touchAction: "none" }}
        >
          <GripVertical aria-hidden size={24} />
        </chakra.button>
      }
    />
  );
}
