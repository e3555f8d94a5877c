import { Box, Slider, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { SkyView } from "~/views/sky/sky-view";
import { ink } from "~/ui/theme";
import { RowName } from "./RowName";
import { useSkyDesk } from "./useSkyDesk";

const MOST = 120;
const STEP = 5;

/** Minutes of each day as a bar to drag, or to move with the arrow keys; letting go saves. */
export function MinutesBars({ view, labels, day }: { view: SkyView; labels: string; day: string }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={`${labels} repeat(${view.days.length}, ${day})`}
      position="relative"
      paddingBottom="6px"
    >
      <RowName>Minutes: drag</RowName>
      {view.days.map((d) => (
        <MinutesBar key={d.day} d={d} />
      ))}
    </Box>
  );
}

function MinutesBar({ d }: { d: SkyView["days"][number] }) {
  const { fetcher, busy } = useSkyDesk();
  const [own, setOwn] = useState<number>();
  // While it is moved and saved the bar stands where the hand left it, and keeps the keyboard's place.
  const minutes = own ?? d.minutes;
  if (own !== undefined && !busy && fetcher.data && own === d.minutes) setOwn(undefined);
  const save = (value: number) =>
    void fetcher.submit(
      { intent: "set day", day: d.day, slot: "all", minutes: String(value) },
      { method: "post", action: "/sky" },
    );
  const words = d.helper ? `${minutes} ${d.helper.split(" ")[0]}` : d.away ? "away" : `${minutes}`;
  return (
    <Box display="grid" justifyItems="center" gap="2px" paddingTop="4px">
      <Slider.Root
        orientation="vertical"
        min={0}
        max={MOST}
        step={STEP}
        disabled={d.away}
        value={[Math.min(MOST, minutes)]}
        aria-label={[`Minutes on ${d.date}`]}
        onValueChange={({ value }) => setOwn(value[0] ?? 0)}
        onValueChangeEnd={({ value }) => save(value[0] ?? 0)}
        height="76px"
      >
        <Slider.Control
          position="relative"
          width="44px"
          height="76px"
          display="flex"
          justifyContent="center"
          cursor={d.away ? "default" : "ns-resize"}
        >
          <Slider.Track
            position="relative"
            width="16px"
            height="100%"
            borderRadius="8px"
            background="awayWash"
            border="1px solid"
            borderColor="edge"
            overflow="hidden"
          >
            <Slider.Range
              position="absolute"
              width="100%"
              background={d.own ? "persimmonFill" : "plum"}
              opacity={d.away ? 0 : 1}
            />
          </Slider.Track>
          {!d.away && (
            <Slider.Thumb
              index={0}
              width="34px"
              height="14px"
              borderRadius="7px"
              background="card"
              border="2px solid"
              borderColor="ink"
              style={{ boxShadow: `0 1px 2px ${ink("soft")}` }}
            >
              <Slider.HiddenInput />
            </Slider.Thumb>
          )}
        </Slider.Control>
      </Slider.Root>
      <chakra.span fontSize="0.92rem" fontWeight={d.own ? 700 : 400} whiteSpace="nowrap" title={d.because.join(", ")}>
        {words}
      </chakra.span>
    </Box>
  );
}
