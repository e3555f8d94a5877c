import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { Link, useFetcher } from "react-router";
import type { BedsAnswer } from "~/routes/beds";
import type { BedsView } from "~/services/beds-view.server";
import { Choice, ErrorLine, Field, TextInput } from "~/ui/forms/Field";
import { Action } from "~/ui/shell/Action";
import { Fold } from "~/ui/shell/Fold";
import { PlantingLineForm } from "./PlantingLineForm";

type Kinds = { kind: string; label: string }[];

/** The beds along the footpath: what stands where, since when; beds and plantings added in a line. */
export function BedsPage({ beds, kinds }: { beds: BedsView; kinds: Kinds }) {
  return (
    <Box maxWidth="1080px" margin="0 auto" padding={{ base: "14px 18px", md: "22px 28px" }}>
      <chakra.h1 fontSize={{ base: "1.9rem", md: "2.2rem" }}>Beds</chakra.h1>
      <chakra.p color="soft" margin="2px 0 14px" maxWidth="64ch">
        In walking order.{" "}
        {beds.length === 0
          ? "Add the first bed, then type what grows in it, a line for each planting."
          : "Type a planting in a line: “6 courgette, sown 3 May”."}
      </chakra.p>
      {beds.map((bed, i) => (
        <BedSection key={bed.id} bed={bed} kinds={kinds} first={i === 0} last={i === beds.length - 1} />
      ))}
      <NewBed kinds={kinds} />
    </Box>
  );
}

function BedSection({
  bed,
  kinds,
  first,
  last,
}: {
  bed: BedsView[number];
  kinds: Kinds;
  first: boolean;
  last: boolean;
}) {
  const fetcher = useFetcher<BedsAnswer>();
  const growing = bed.plantings.filter((p) => !p.finished);
  const over = bed.plantings.filter((p) => p.finished);
  return (
    <chakra.section
      id={bed.id}
      aria-label={bed.name}
      borderLeft="2px dotted"
      borderColor="plum"
      paddingLeft="22px"
      paddingBottom="22px"
      position="relative"
      scrollMarginTop="20px"
    >
      <chakra.span
        aria-hidden
        position="absolute"
        left="-9px"
        top="6px"
        width="16px"
        height="16px"
        borderRadius="50%"
        background="plum"
      />
      <Box display="flex" alignItems="baseline" gap="4px 14px" flexWrap="wrap">
        <chakra.h2 fontSize="1.45rem">{bed.name}</chakra.h2>
        <chakra.span color="soft">{bed.kindLabel}</chakra.span>
      </Box>
      <chakra.ul listStyleType="none" padding="0" margin="4px 0 8px">
        {growing.map((p) => (
          <chakra.li
            key={p.id}
            display="flex"
            alignItems="center"
            justifyContent="space-between"
            gap="10px"
            borderBottom="1px solid"
            borderColor="line"
            minHeight="48px"
          >
            <Box>
              <Link to={`/check/${p.id}`}>
                <strong>
                  {p.plants > 1 ? `${p.plants} ` : ""}
                  {p.crop}
                </strong>
                {p.variety ? `, ${p.variety}` : ""}
              </Link>
              <chakra.span color="soft"> · {p.since}</chakra.span>
            </Box>
            <chakra.span flex="none">
              <Link to={`/plantings/${p.id}`} aria-label={`Change ${p.crop} ${p.variety}`}>
                Change
              </Link>
            </chakra.span>
          </chakra.li>
        ))}
        {growing.length === 0 && <chakra.li color="soft">Nothing grows here now.</chakra.li>}
      </chakra.ul>
      <PlantingLineForm bedId={bed.id} bedName={bed.name} />
      <Fold quiet summary={<>Change this bed{over.length ? `, or see what grew here (${over.length})` : ""}</>}>
        {over.length > 0 && (
          <chakra.ul listStyleType="none" padding="0" margin="0 0 10px">
            {over.map((p) => (
              <chakra.li key={p.id} display="flex" gap="10px" alignItems="center" flexWrap="wrap">
                <span>
                  {p.crop}
                  {p.variety ? `, ${p.variety}` : ""}, {p.since}, finished {p.finished}
                </span>
                <fetcher.Form method="post">
                  <input type="hidden" name="plantingId" value={p.id} />
                  <Action size="small" tone="bare" name="intent" value="reopen">
                    It still grows
                  </Action>
                </fetcher.Form>
              </chakra.li>
            ))}
          </chakra.ul>
        )}
        <fetcher.Form method="post">
          <input type="hidden" name="bedId" value={bed.id} />
          <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr auto" }} gap="10px" alignItems="start">
            <Field label="Name" error={fetcher.data?.errors?.name}>
              {(ids) => <TextInput {...ids} name="name" defaultValue={bed.name} />}
            </Field>
            <Field label="What it is" error={fetcher.data?.errors?.kind}>
              {(ids) => <KindChoice ids={ids} kinds={kinds} value={bed.kind} />}
            </Field>
            <Action name="intent" value="edit bed" marginTop={{ md: "26px" }}>
              Save the bed
            </Action>
          </Box>
          <Box display="flex" gap="10px" flexWrap="wrap" marginTop="10px">
            <Action size="small" name="intent" value="move bed" disabled={first} onClick={(e) => moveBy(e, "up")}>
              Earlier on the walk
            </Action>
            <Action size="small" name="intent" value="move bed" disabled={last} onClick={(e) => moveBy(e, "down")}>
              Later on the walk
            </Action>
            <Action size="small" tone="bare" name="intent" value="remove bed">
              Remove the bed
            </Action>
          </Box>
          <input type="hidden" name="step" defaultValue="up" />
          {fetcher.data?.sentence && <ErrorLine>{fetcher.data.sentence}</ErrorLine>}
        </fetcher.Form>
      </Fold>
    </chakra.section>
  );
}

function moveBy(event: React.MouseEvent<HTMLButtonElement>, step: "up" | "down") {
  const field = event.currentTarget.form?.elements.namedItem("step");
  if (field instanceof HTMLInputElement) field.value = step;
}

function KindChoice({ ids, kinds, value }: { ids: object; kinds: Kinds; value?: string }) {
  return (
    <Choice {...ids} name="kind" defaultValue={value ?? "raised"}>
      {kinds.map((k) => (
        <option key={k.kind} value={k.kind}>
          {k.label}
        </option>
      ))}
    </Choice>
  );
}

function NewBed({ kinds }: { kinds: Kinds }) {
  const fetcher = useFetcher<BedsAnswer>();
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (fetcher.state === "idle" && fetcher.data?.done) form.current?.reset();
  }, [fetcher.state, fetcher.data]);
  return (
    <chakra.section
      aria-label="Add a bed"
      background="card"
      border="1px solid"
      borderColor="line"
      borderRadius="seed"
      padding="16px 18px"
      marginTop="6px"
    >
      <chakra.h2 fontSize="1.3rem" marginBottom="8px">
        Add a bed
      </chakra.h2>
      <fetcher.Form method="post" ref={form}>
        <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr auto" }} gap="10px" alignItems="start">
          <Field label="Name" error={fetcher.data?.errors?.name}>
            {(ids) => <TextInput {...ids} name="name" placeholder="Long bed" autoComplete="off" />}
          </Field>
          <Field
            label="What it is"
            help="Sets how cold its nights run, a guess to begin with"
            error={fetcher.data?.errors?.kind}
          >
            {(ids) => <KindChoice ids={ids} kinds={kinds} />}
          </Field>
          <Action tone="loud" name="intent" value="add bed" marginTop={{ md: "26px" }}>
            Add the bed
          </Action>
        </Box>
      </fetcher.Form>
    </chakra.section>
  );
}
