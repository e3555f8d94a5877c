import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { SkyView } from "~/views/sky/sky-view";
import { Field } from "~/ui/forms/Field";
import { Action, PlainList, TextInput } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";
import { Answer } from "./Answer";
import { KeptLine } from "./KeptLine";
import { useSkyDesk } from "./useSkyDesk";
import { sayClock } from "~/views/words";

type Trip = SkyView["trips"][number];

/** Trips ahead, each to change or remove, and a new one. */
export function Trips({ view }: { view: SkyView }) {
  const [editing, setEditing] = useState<string | null>(null);
  const save = useSkyDesk();
  const remove = useSkyDesk();
  return (
    <Card title="Away">
      <PlainList margin="0 0 8px">
        {view.trips.length === 0 && <chakra.li color="soft">No trip ahead.</chakra.li>}
        {view.trips.map((t) => (
          <li key={t.id}>
            <KeptLine
              id={t.id}
              name={t.name}
              removeIntent="remove trip"
              desk={remove}
              onChange={() => setEditing(t.id)}
            >
              <strong>{t.name}</strong>: {t.from}
              {t.leaveAt ? ` ${sayClock(t.leaveAt, view.units)}` : ""} to {t.to}
              {t.backAt ? ` ${sayClock(t.backAt, view.units)}` : ""}
            </KeptLine>
          </li>
        ))}
      </PlainList>
      <Answer answer={remove.answer} />
      {/* Empty again once one is added, so that it is not added twice. */}
      <TripForm
        key={editing ?? `new ${view.trips.length}`}
        desk={save}
        trip={view.trips.find((t) => t.id === editing)}
        today={view.today}
        done={() => setEditing(null)}
      />
    </Card>
  );
}

interface TripFormProps {
  trip: Trip | undefined;
  today: string;
  desk: ReturnType<typeof useSkyDesk>;
  done: () => void;
}

function TripForm({ trip, today, desk, done }: TripFormProps) {
  const { Form, answer, errors } = desk;
  return (
    <Form method="post" action="/sky">
      <input type="hidden" name="id" value={trip?.id ?? ""} />
      <Box display="grid" gap="10px" gridTemplateColumns="repeat(2, minmax(0, 1fr))">
        <Box gridColumn="1 / -1">
          <Field label="Trip" error={errors.name}>
            {(ids) => (
              <TextInput {...ids} name="name" placeholder="Weekend away" autoComplete="off" defaultValue={trip?.name} />
            )}
          </Field>
        </Box>
        <Field label="First day away" error={errors.from}>
          {(ids) => <TextInput {...ids} type="date" name="from" defaultValue={trip?.fromDay ?? today} />}
        </Field>
        <Field label="Leaving at" help="empty: first thing" error={errors.leaveAt}>
          {(ids) => <TextInput {...ids} type="time" name="leaveAt" defaultValue={trip?.leaveAt ?? ""} />}
        </Field>
        <Field label="Last day away" error={errors.to}>
          {(ids) => <TextInput {...ids} type="date" name="to" defaultValue={trip?.toDay ?? today} />}
        </Field>
        <Field label="Back at" help="empty: late" error={errors.backAt}>
          {(ids) => <TextInput {...ids} type="time" name="backAt" defaultValue={trip?.backAt ?? ""} />}
        </Field>
      </Box>
      <Box display="flex" gap="8px" marginTop="10px">
        <Action name="intent" value="save trip">
          {trip ? "Save the trip" : "Add the trip"}
        </Action>
        {trip && (
          <Action tone="bare" type="button" onClick={done}>
            New trip instead
          </Action>
        )}
      </Box>
      <Answer answer={answer} shown={["name", "from", "to", "leaveAt", "backAt"]} />
    </Form>
  );
}
