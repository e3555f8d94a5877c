import { Box, chakra } from "@chakra-ui/react";
import { Suspense, lazy, memo, useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { HorizonView } from "~/views/horizon/horizon-view";
import { moveTold } from "~/views/horizon/move-words";
import { whenIdle } from "~/ui/shell/when-idle";
import { Quiet } from "~/ui/theme/parts";
import { cropAndVariety } from "~/views/words";
import type { Band } from "~/views/sky/bands";
import { ink } from "~/ui/theme";
import { BedRows } from "./BedRows";
import { BoardContext } from "./board-context";
import { BOARD_CSS } from "./board-css";
import { PhoneDays, SkyStrip } from "./HorizonSky";
import { FindField } from "./FindField";
import { foundBeds } from "./found-beds";
import { KeysSheet } from "./KeysSheet";
import { MoveCard } from "./MoveCard";
import type { Moving, RowPlanting } from "./moving";
import { usePlanActs } from "./plan-acts";
import { useMovingPick } from "./useMovingPick";
import { AroundContext } from "./useAround";
import { useFolds } from "./useFolds";
import { useKeptFocus } from "./useKeptFocus";
import { useRowKeys } from "./useRowKeys";

const PickDrag = lazy(() => import("./PickDrag"));

interface BoardProps {
  view: HorizonView;
  /** Days of picks that would be others if something were otherwise, by planting. */
  after: ReadonlyMap<string, number[]>;
}

/** Beds in walking order down the side, the days across, every planting a ridge of worth whose picks can be moved. */
export function HorizonBoard({ view, after }: BoardProps) {
  const board = useRef<HTMLDivElement>(null);
  const acts = usePlanActs();
  const pick = useMovingPick(view, acts);
  const plantings = useMemo(() => new Map(view.beds.flatMap((b) => b.plantings).map((p) => [p.id, p])), [view]);
  const plantingOf = (id: string) => plantings.get(id);
  const [isIdle, setIdle] = useState(false);
  useEffect(() => whenIdle(() => setIdle(true)), []);
  const keys = useRowKeys(board, pick, plantingOf, acts.act, (n) => view.days[n]!.day);
  const [sought, setSought] = useState("");
  const beds = useMemo(() => foundBeds(view.beds, sought), [view, sought]);
  const folds = useFolds();
  const goToFirst = useCallback(() => board.current?.querySelector<HTMLElement>(".planting > a")?.focus(), []);
  const focus = useKeptFocus(board, view);
  const shown = pick.moving ?? pick.refused;
  const told = shown && toldOf(shown, view, plantingOf);
  const move = pick.moving && told && { moving: pick.moving, told, after: afterOf(pick.moving) };
  return (
    <Box
      position="relative"
      minWidth="0"
      overflowX="clip"
      css={BOARD_CSS}
      ref={board}
      onPointerDown={pick.dismiss}
      {...keys}
      {...focus}
    >
      {isIdle && (
        <Suspense>
          <PickDrag board={board} pick={pick} plantingOf={plantingOf} count={view.days.length} />
        </Suspense>
      )}
      <SkyStrip view={view} onFind={setSought} onGo={goToFirst} />
      <Box display={{ base: "block", md: "none" }} padding="0 16px 8px">
        <FindField onFind={setSought} onGo={goToFirst} />
      </Box>
      <PhoneDays view={view} />
      <span id="how-to-move" hidden>
        Space takes it up, arrow keys move it, Space lets it go, Escape puts it back. Delete rules the day out.
      </span>
      <Box position="relative">
        {beds.length === 0 && (
          <Quiet padding="18px 28px" position="relative" zIndex="2">
            Nothing here is called “{sought.trim()}”.
          </Quiet>
        )}
        <chakra.span
          aria-hidden
          display={{ base: "none", md: "block" }}
          position="absolute"
          left="15px"
          top="20px"
          bottom="40px"
          borderLeft="2px dotted"
          borderColor="plum"
          opacity="0.7"
          pointerEvents="none"
        />
        <BoardContext value={view}>
          <AroundContext value={pick.around}>
            {beds.map((bed) => {
              const isHere = move && bed.plantings.some((p) => p === move.moving.planting || move.after.has(p.id));
              const isOther = !move && bed.plantings.some((p) => after.has(p.id));
              return (
                <BedRows
                  key={bed.id}
                  bed={bed}
                  view={view}
                  isFolded={folds.isFolded(bed.id) && !sought.trim()}
                  onFold={folds.turn}
                  {...(isHere && { move })}
                  {...(isOther && { after })}
                />
              );
            })}
          </AroundContext>
        </BoardContext>
      </Box>
      <Legend />
      <KeysSheet />
      {shown && told && <MoveCard told={told} moving={shown} />}
    </Box>
  );
}

/** What a move costs, in words. */
function toldOf(
  { planting, to, answer }: Moving,
  view: HorizonView,
  plantingOf: (id: string) => RowPlanting | undefined,
) {
  const handle = (p: RowPlanting | undefined) => (p ? cropAndVariety(p.crop, p.variety) : "");
  return moveTold({
    name: handle(planting),
    to: view.days[to.day]!.label,
    slot: to.slot,
    cost: answer?.cost ?? null,
    isSettled: answer?.isSettled ?? false,
    units: view.units,
    nameOf: (id) => handle(plantingOf(id)),
    labelOf: (day) => view.days[day]!.label,
    plantingId: planting.id,
  });
}

const NONE: ReadonlyMap<string, number[]> = new Map();

const afterOf = ({ answer }: Moving): ReadonlyMap<string, number[]> =>
  answer?.cost && !answer.cost.blockedBy ? new Map(answer.cost.moved.map((m) => [m.plantingId, m.to])) : NONE;

const Legend = memo(function Legend() {
  const swatch = (kind: Band["kind"], words: string) => (
    <chakra.span display="inline-flex" alignItems="center" gap="6px">
      <span
        aria-hidden
        className={`band-${kind}`}
        style={{ width: 26, height: 18, display: "inline-block", border: `1px solid ${ink("line")}` }}
      />
      {words}
    </chakra.span>
  );
  return (
    <chakra.p
      display="flex"
      flexWrap="wrap"
      gap="6px 18px"
      fontSize="0.92rem"
      color="soft"
      padding={{ base: "12px 16px", md: "12px 28px" }}
      borderTop="1px solid"
      borderColor="line"
      margin="0"
    >
      {swatch("frost", "frost, the night between two days")}
      {swatch("storm", "storm")}
      {swatch("heat", "heat")}
      {swatch("away", "away")}
      <span>
        Ridge: what a pick that day is worth; the pale part is what the weather may take, the shaded edge how far off I
        may be. ● a planned pick, ◆ one you asked for, × a day you ruled out, ■ a job, ○ a look
      </span>
    </chakra.p>
  );
});
