import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useFetcher } from "react-router";
import { Chip, QuietSpan, TextInput } from "~/ui/theme/parts";

/** A place as the server finds it. */
export interface Place {
  label: string;
  latitude: number;
  longitude: number;
  timeZone: string;
  units: "metric" | "us";
}

interface PlaceChoiceProps {
  ids: { id: string; "aria-describedby": string; "aria-invalid": boolean };
  chosen: Place | undefined;
  onChoose: (place: Place) => void;
}

/** The garden's place by its name: the server looks it up while one types. */
export function PlaceChoice({ ids, chosen, onChoose }: PlaceChoiceProps) {
  const fetcher = useFetcher<{ places: Place[] }>();
  const [asked, setAsked] = useState("");
  const isChosen = chosen !== undefined && asked === chosen.label;
  const places = asked.trim().length > 1 && !isChosen ? (fetcher.data?.places ?? []) : [];
  const choose = (place: Place) => {
    setAsked(place.label);
    onChoose(place);
  };
  const ask = (text: string) => {
    setAsked(text);
    if (text.trim().length > 1) void fetcher.load(`/places?q=${encodeURIComponent(text)}`);
  };
  return (
    <Box>
      <TextInput
        {...ids}
        value={asked}
        placeholder="A town near by"
        autoComplete="off"
        onChange={(e) => ask(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== "Enter") return;
          e.preventDefault();
          if (places[0]) choose(places[0]);
        }}
      />
      <chakra.div aria-live="polite" display="flex" flexWrap="wrap" gap="8px" marginTop="8px">
        {places.map((p) => (
          <Chip key={`${p.label} ${p.latitude} ${p.longitude}`} onClick={() => choose(p)}>
            {p.label}
          </Chip>
        ))}
        {asked.trim().length > 1 && fetcher.state === "idle" && fetcher.data && places.length === 0 && !isChosen && (
          <QuietSpan>
            No town of that name is known here. Try a larger one near by, or type the coordinates below.
          </QuietSpan>
        )}
      </chakra.div>
    </Box>
  );
}
