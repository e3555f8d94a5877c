import { Search } from "lucide-react";
import { Suspense, lazy, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { Action } from "~/ui/theme/parts";

const JumpSheet = lazy(() => import("./JumpSheet"));

/** Opens the field that goes to any bed, planting or act; so does Ctrl K, wherever one types. */
export function JumpButton() {
  const [isOpen, setOpen] = useState(false);
  useHotkeys("mod+k", () => setOpen(true), { preventDefault: true, enableOnFormTags: true });
  return (
    <>
      <Action
        size="small"
        tone="bare"
        paddingInline="10px"
        aria-label="Go to … (Ctrl K)"
        title="Go to … (Ctrl K)"
        onClick={() => setOpen(true)}
      >
        <Search size={20} aria-hidden />
      </Action>
      {isOpen && (
        <Suspense>
          <JumpSheet onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
