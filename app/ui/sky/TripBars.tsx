import { Box, Slider, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { addDays, daysBetween } from "~/core/calendar";
import type { SkyView } from "~/views/sky/sky-view";
import { Action } from "~/ui/theme/parts";
import { RowName } from "./RowName";
import { useSkyDesk } from "./useSkyDesk";
import { sayInUnits, shortDay } from "~/views/words";

type Trip = SkyView["trips"][number];

/** Trips on the strip: either end is a handle to drag, or to move with the arrow keys; letting go saves. */
export function TripBars({ view, labels }: { view: SkyView; labels: string }) {
  const last = view.days.at(-1)!.day;
  const trips = view.trips.filter((t) => t.fromDay <= last);
  return (
    <>
      {trips.map((t) => (
        <Box
          key={`${t.id} ${t.fromDay} ${t.toDay}`}
          display="grid"
          gridTemplateColumns={`${labels} minmax(0, 1fr)`}
          position="relative"
        >
          <RowName>{t.name.length > 22 ? `${t.name.slice(0, 20)}…` : t.name}</RowName>
          <TripBar trip={t} view={view} />
        </Box>
      ))}
      <NewTrip view={view} labels={labels} />
    </>
  );
}

/** A new trip of two days on the strip, to be dragged into place; its name and hours are changed below. */
function NewTrip({ view, labels }: { view: SkyView; labels: string }) {
  const { Form, busy } = useSkyDesk();
  return (
    <Box display="grid" gridTemplateColumns={`${labels} minmax(0, 1fr)`} position="relative">
      <RowName>Trip</RowName>
      <Form method="post" action="/sky">
        <input type="hidden" name="name" value="Away" />
        <input type="hidden" name="from" value={addDays(view.today, 1)} />
        <input type="hidden" name="to" value={addDays(view.today, 2)} />
        <Action size="small" name="intent" value="save trip" disabled={busy}>
          New trip
        </Action>
      </Form>
    </Box>
  );
}

function TripBar({ trip, view }: { trip: Trip; view: SkyView }) {
  const { fetcher } = useSkyDesk();
  const count = view.days.length;
  const first = Math.max(0, daysBetween(view.today, trip.fromDay));
  const end = Math.min(count, daysBetween(view.today, trip.toDay) + 1);
  const [ends, setEnds] = useState<[number, number]>([first, end]);
  const dayAt = (n: number) => addDays(view.today, n);
  const save = ([from, to]: readonly number[]) => {
    // An end beyond the strip stays where it is unless it was dragged.
    const fromDay = from === first ? trip.fromDay : dayAt(from!);
    const toDay = to === end ? trip.toDay : dayAt(to! - 1);
    void fetcher.submit(
      {
        intent: "save trip",
        id: trip.id,
        name: trip.name,
        from: fromDay,
        to: toDay,
        leaveAt: trip.leaveAt ?? "",
        backAt: trip.backAt ?? "",
      },
      { method: "post", action: "/sky" },
    );
  };
  return (
    <Slider.Root
      min={0}
      max={count}
      step={1}
      minStepsBetweenThumbs={1}
      value={ends}
      aria-label={[`${trip.name}, first day away`, `${trip.name}, last day away`]}
      getAriaValueText={({ value, index }) =>
        sayInUnits(shortDay(dayAt(index === 0 ? value : value - 1), view.today), view.units)
      }
      onValueChange={({ value }) => setEnds([value[0]!, value[1]!])}
      onValueChangeEnd={({ value }) => save(value)}
    >
      <Slider.Control position="relative" height="40px" display="flex" alignItems="center">
        <Slider.Track position="relative" width="100%" height="22px">
          <Slider.Range position="absolute" height="100%" background="soft" opacity="0.85" borderRadius="11px" />
        </Slider.Track>
        {[0, 1].map((index) => (
          <Slider.Thumb
            key={index}
            index={index}
            width="20px"
            height="32px"
            borderRadius="8px"
            background="card"
            border="2px solid"
            borderColor="ink"
            cursor="ew-resize"
          >
            <Slider.HiddenInput />
          </Slider.Thumb>
        ))}
        <chakra.span
          position="absolute"
          pointerEvents="none"
          color="paper"
          fontWeight="700"
          fontSize="0.9rem"
          whiteSpace="nowrap"
          transform="translateX(-50%)"
          style={{ left: `${(50 * (ends[0] + ends[1])) / count}%` }}
        >
          {ends[1] - ends[0] >= 2
            ? sayInUnits(
                `${shortDay(dayAt(ends[0]), view.today)} to ${shortDay(dayAt(ends[1] - 1), view.today)}`,
                view.units,
              )
            : ""}
        </chakra.span>
      </Slider.Control>
    </Slider.Root>
  );
}
