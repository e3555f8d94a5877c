import { useRef } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { TextInput } from "~/ui/theme/parts";

interface FindFieldProps {
  onFind: (words: string) => void;
  /** Enter: to the first that was found. */
  onGo: () => void;
}

/** Finds beds, plantings and what is said of them; / goes to it. */
export function FindField({ onFind, onGo }: FindFieldProps) {
  const field = useRef<HTMLInputElement>(null);
  useHotkeys("/", () => field.current?.focus(), { useKey: true, preventDefault: true });
  return (
    <TextInput
      ref={field}
      type="search"
      aria-label="Find a bed or a planting"
      placeholder="Find: bed, crop, “look” …"
      width="100%"
      maxWidth="290px"
      minHeight="40px"
      onChange={(e) => onFind(e.target.value)}
      onKeyDown={(e) => {
        if (e.key === "Enter") onGo();
        if (e.key !== "Escape") return;
        e.currentTarget.value = "";
        onFind("");
      }}
    />
  );
}
