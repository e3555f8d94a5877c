import { Box, chakra } from "@chakra-ui/react";
import { Form, Link } from "react-router";
import type { cropNames, notesList } from "~/views/notes/field-notes-view";
import { Field } from "~/ui/forms/Field";
import { Action, ActionLink, Bar, Choice, PlainList, Quiet, TextInput } from "~/ui/theme/parts";
import { Fold } from "~/ui/shell/Fold";

interface NotesListProps {
  typed: string;
  list: ReturnType<typeof notesList>;
  names: ReturnType<typeof cropNames>;
  errors: Partial<Record<string, string>>;
}

/** The crops of the handbook and the household's own, to search and to open. */
export function NotesListPage({ typed, list, names, errors }: NotesListProps) {
  const wrong = Object.keys(errors).length > 0;
  return (
    <Box maxWidth="1180px" margin="0 auto" padding={{ base: "14px 18px", md: "22px 28px" }}>
      <Bar alignItems="end" spread="yes" gap="10px 24px">
        <chakra.h1 fontSize={{ base: "1.9rem", md: "2.2rem" }}>Field notes</chakra.h1>
        {list.anyGrowing && (
          <ActionLink href="/notes/sheets" size="small">
            Sheets of what grows here
          </ActionLink>
        )}
      </Bar>
      <Form role="search" style={{ margin: "12px 0 6px" }}>
        <Box display="grid" gridTemplateColumns={{ base: "1fr auto", md: "minmax(0, 420px) auto 1fr" }} gap="10px">
          <TextInput
            name="q"
            type="search"
            defaultValue={typed}
            aria-label="Search crops, cues and cautions"
            placeholder="crop, cue, caution"
          />
          <Action type="submit">Search</Action>
        </Box>
      </Form>
      <Quiet margin="0 0 14px">
        {list.count === 0
          ? `Nothing in the notes speaks of “${typed}”.`
          : `${list.count} ${list.count === 1 ? "crop" : "crops"}${typed ? ` speak of “${typed}”` : ""}. A dot marks what grows here.`}
      </Quiet>
      <Box columns={{ base: 1, md: 3, xl: 4 }} css={{ columnGap: "28px" }}>
        {list.groups.map((g) => (
          <chakra.section key={g.group} marginBottom="18px" css={{ breakInside: "avoid-column" }}>
            <chakra.h2 fontSize="1.15rem" borderBottom="1px solid" borderColor="line" marginBottom="2px">
              {GROUP_WORDS[g.group] ?? g.group}
            </chakra.h2>
            <PlainList>
              {g.crops.map((c) => (
                <li key={c.id}>
                  <CropLink to={`/notes/${c.id}`} discover="none">
                    <span aria-hidden>{c.growing ? "●" : ""}</span>
                    <span>
                      {c.name}
                      {c.own ? " (your own)" : ""}
                      {c.growing && <chakra.span srOnly> grows here</chakra.span>}
                    </span>
                  </CropLink>
                </li>
              ))}
            </PlainList>
          </chakra.section>
        ))}
      </Box>
      <Fold summary="Add a crop of your own" open={wrong}>
        <OwnCropFields names={names} errors={errors} />
      </Fold>
    </Box>
  );
}

const GROUP_WORDS: Record<string, string> = {
  leaf: "Leaves",
  herb: "Herbs",
  head: "Heads",
  stem: "Stems and shoots",
  root: "Roots",
  bulb: "Bulbs",
  tuber: "Tubers and rhizomes",
  fruit: "Fruiting vegetables",
  pod: "Beans and peas",
  ear: "Ears",
  berry: "Berries",
  "tree fruit": "Tree fruit",
  flower: "Flowers",
  seed: "Seed",
  extra: "Extras",
};

const CropLink = chakra(Link, {
  base: {
    display: "grid",
    gridTemplateColumns: "18px 1fr",
    alignItems: "center",
    minHeight: { base: "48px", md: "34px" },
    textDecoration: "none",
    _hover: { textDecoration: "underline" },
    "& > span:first-of-type": { color: "plum" },
  },
});

function OwnCropFields({ names, errors }: Pick<NotesListProps, "names" | "errors">) {
  return (
    <Form method="post">
      <Box
        display="grid"
        gap="14px"
        gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }}
        maxWidth="760px"
        paddingBottom="8px"
      >
        <Field label="Name" error={errors.name}>
          {(ids) => <TextInput {...ids} name="name" />}
        </Field>
        <Field
          label="Most like"
          help="Its cues and handling are taken over; change any of them later."
          error={errors.like}
        >
          {(ids) => (
            <Choice {...ids} name="like" defaultValue="">
              <option value="" disabled>
                choose
              </option>
              {names.map((n) => (
                <option key={n.id} value={n.id}>
                  {n.name}
                </option>
              ))}
            </Choice>
          )}
        </Field>
        <Field label="Days to first pick, from" error={errors.low}>
          {(ids) => <TextInput {...ids} name="low" inputMode="numeric" />}
        </Field>
        <Field label="to" error={errors.high}>
          {(ids) => <TextInput {...ids} name="high" inputMode="numeric" />}
        </Field>
        <Field label="Counted from" error={errors.from}>
          {(ids) => (
            <Choice {...ids} name="from" defaultValue="sown">
              <option value="sown">sowing</option>
              <option value="planted">planting out</option>
              <option value="blossom">blossom</option>
              <option value="growth">new growth</option>
            </Choice>
          )}
        </Field>
      </Box>
      <Action type="submit" tone="loud">
        Add the crop
      </Action>
    </Form>
  );
}
