import { chakra } from "@chakra-ui/react";
import { useRef } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { Action, Figures } from "~/ui/theme/parts";

const KEYS = [
  ["↑ ↓, Home, End", "from row to row"],
  ["← →", "along a row: the planting, its picks, days ruled out"],
  ["Enter", "on a pick: why this day"],
  ["Space", "takes a pick up; then ← → move it, Space or Enter lets it go, Esc puts it back"],
  ["Delete", "on a pick: not on this day"],
  ["Ctrl+Z, Ctrl+Shift+Z", "undo, do again"],
  ["/", "find a bed or a planting; Enter goes to the first, Esc shows all again"],
  ["Ctrl+K", "go to any bed, planting or act, from every page"],
  ["?", "this sheet"],
] as const;

/** The board's keys, on a sheet that ? opens. */
export function KeysSheet() {
  const sheet = useRef<HTMLDialogElement>(null);
  const open = () => {
    if (!sheet.current?.open) sheet.current?.showModal();
  };
  useHotkeys("?", open, { useKey: true });
  return (
    <>
      <Action size="small" tone="bare" marginLeft="20px" display={{ base: "none", md: "inline-flex" }} onClick={open}>
        Keys (?)
      </Action>
      <chakra.dialog
        ref={sheet}
        aria-labelledby="keys-title"
        margin="auto"
        maxWidth="min(560px, calc(100vw - 40px))"
        background="card"
        color="ink"
        border="2px solid"
        borderColor="ink"
        borderRadius="seed"
        padding="18px 22px"
      >
        <chakra.h2 id="keys-title" fontSize="1.3rem" marginBottom="8px">
          By keyboard
        </chakra.h2>
        <Figures>
          <tbody>
            {KEYS.map(([keys, does]) => (
              <tr key={keys}>
                <th scope="row">{keys}</th>
                <td>{does}</td>
              </tr>
            ))}
          </tbody>
        </Figures>
        <Action marginTop="12px" onClick={() => sheet.current?.close()}>
          Close
        </Action>
      </chakra.dialog>
    </>
  );
}
