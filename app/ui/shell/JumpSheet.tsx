import { chakra } from "@chakra-ui/react";
import { Command } from "cmdk";
import { groupBy } from "es-toolkit";
import { useEffect, useRef } from "react";
import { useFetcher, useNavigate } from "react-router";
import { ink } from "~/ui/theme";
import type { Jump } from "~/views/horizon/jumps";

/** The command field on a sheet of its own: type, arrows, Enter. */
export default function JumpSheet({ onClose }: { onClose: () => void }) {
  const sheet = useRef<HTMLDialogElement>(null);
  const { data, load } = useFetcher<Jump[]>();
  const go = useNavigate();
  useEffect(() => {
    sheet.current?.showModal();
    void load("/jumps");
  }, [load]);
  const jump = ({ href }: Jump) => {
    onClose();
    // A table is no page: the browser fetches it.
    if (href.endsWith(".csv")) window.location.assign(href);
    else void go(href);
  };
  return (
    <chakra.dialog
      ref={sheet}
      aria-label="Go to"
      onClose={onClose}
      onClick={(e) => e.target === sheet.current && sheet.current.close()}
      margin={{ base: "8px auto auto", md: "12vh auto auto" }}
      width="min(560px, calc(100vw - 20px))"
      background="card"
      color="ink"
      border="2px solid"
      borderColor="ink"
      borderRadius="seed"
      padding="10px"
      css={CSS}
    >
      <Command label="Go to a bed, a planting or an act" loop>
        <Command.Input placeholder="Bed, crop, or what to do …" autoFocus />
        <Command.List>
          <Command.Empty>{data ? "Nothing here is called so." : "One moment …"}</Command.Empty>
          {Object.entries(groupBy(data ?? [], (j) => j.group)).map(([group, jumps]) => (
            <Command.Group key={group} heading={group}>
              {jumps.map((j) => (
                <Command.Item
                  key={`${j.words} ${j.href}`}
                  value={`${j.words} ${j.beside} ${j.href}`}
                  onSelect={() => jump(j)}
                >
                  <span>{j.words}</span>
                  {group === "Plantings" && <span>{j.beside}</span>}
                </Command.Item>
              ))}
            </Command.Group>
          ))}
        </Command.List>
      </Command>
    </chakra.dialog>
  );
}

const CSS = {
  "& [cmdk-input]": { width: "100%", minHeight: "48px", fontSize: "1.1rem", paddingInline: "10px", background: "paper", border: "2px solid", borderColor: "line", borderRadius: "seed" },
  "& [cmdk-input]::placeholder": { color: "soft", opacity: 1 },
  "& [cmdk-list]": { maxHeight: "min(60vh, 520px)", overflowY: "auto", marginTop: "8px" },
  "& [cmdk-group-heading]": { fontFamily: "heading", fontWeight: 600, padding: "8px 10px 2px" },
  "& [cmdk-item]": { minHeight: "44px", display: "flex", alignItems: "center", justifyContent: "space-between", gap: "12px", paddingInline: "10px", borderRadius: "seed", cursor: "pointer" },
  "& [cmdk-item] > span:nth-of-type(2)": { color: "soft" },
  "& [cmdk-item][data-selected=true]": { background: "ridgePale", boxShadow: `inset 4px 0 0 ${ink("persimmonFill")}` },
  "& [cmdk-empty]": { padding: "14px 10px" },
  "& label": { position: "absolute", left: "-9999px" },
}; // prettier-ignore
