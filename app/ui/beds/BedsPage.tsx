import { chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import type { UnitSystem } from "~/core/units";
import type { BedsAnswer } from "~/views/beds/beds-answer";
import type { BedsView } from "~/views/beds/beds-view";
import { Field } from "~/ui/forms/Field";
import { Card } from "~/ui/shell/Card";
import { Action, ActionLink, Page, PageName, Quiet, TextInput } from "~/ui/theme/parts";
import { BedSection } from "./BedSection";
import { KindChoice, type Kinds } from "./KindChoice";
import { LinesForm } from "./LinesForm";

interface BedsPageProps {
  beds: BedsView;
  kinds: Kinds;
  /** Whether there is a plan of last year to copy. */
  copies: boolean;
  units: UnitSystem;
}

/** The beds along the footpath: what stands where, since when; beds and plantings added in a line. */
export function BedsPage({ beds, kinds, copies, units }: BedsPageProps) {
  return (
    <Page>
      <PageName>Beds</PageName>
      <Quiet margin="2px 0 14px" maxWidth="64ch">
        {beds.length === 0
          ? "Type or paste what grows here, a line for each planting, under the name of its bed. How many, of what, sown or planted when: a month or a year will do."
          : "In walking order. Type a planting in a line at its bed, or many at once here."}
      </Quiet>
      <LinesForm bedNames={beds.map((b) => b.name)} copies={copies} empty={beds.length === 0} units={units} />
      {beds.map((bed, i) => (
        <BedSection key={bed.id} bed={bed} kinds={kinds} units={units} first={i === 0} last={i === beds.length - 1} />
      ))}
      <NewBed kinds={kinds} />
      <ActionLink href="/phones" tone="bare">
        Phones of the household
      </ActionLink>
    </Page>
  );
}

function NewBed({ kinds }: { kinds: Kinds }) {
  const fetcher = useFetcher<BedsAnswer>();
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (fetcher.data?.done) form.current?.reset();
  }, [fetcher.data]);
  return (
    <Card title="Add a bed">
      <fetcher.Form method="post" ref={form}>
        <chakra.div
          display="grid"
          gridTemplateColumns={{ base: "1fr", md: "1fr 1fr auto" }}
          gap="10px"
          alignItems="start"
        >
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
        </chakra.div>
      </fetcher.Form>
    </Card>
  );
}
