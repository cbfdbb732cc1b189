import type { ReactNode } from "react";
import { AsOf } from "../offline/AsOf";
import { isAbout } from "../sync/pending";
import { Refusals } from "../sync/Refusals";
import { useSync } from "../sync/state";
import { Screen } from "../ui/Screen";
import { Words } from "../ui/Words";
import { Columns } from "./Columns";
import type { SheetSection } from "./section";
import { useSections } from "./useSections";

export interface SheetScreenProps {
  /** Of the window. */
  title: string;
  /** Whose sheet it is: what the server did not take of it stands on it. */
  id: string;
  /** When the server gave it, in milliseconds; 0: it was taken down here. */
  answeredAt: number;
  /** Who or what it is, and the ways from it. */
  head: ReactNode;
  /** What is to be said before the sections. */
  notices?: ReactNode;
  main: readonly SheetSection[];
  side: readonly SheetSection[];
  foot?: ReactNode;
}

/** A customer's or a car's sheet: who it is, what is to be said, what is done and what one looks up, the next act. */
export function SheetScreen({ title, id, answeredAt, head, notices, main, side, foot }: SheetScreenProps) {
  const { draw } = useSections();
  const waits = useSync((state) => state.pending.some((item) => isAbout(item, id)));
  return (
    <Screen title={title} foot={foot} foldedHead={title}>
      {head}
      <AsOf answeredAt={answeredAt} />
      {waits ? (
        <Words size="small" tone="muted" align="center" role="status">
          What was changed here is on this device and waits to be sent.
        </Words>
      ) : null}
      <Refusals of={id} />
      {notices}
      <Columns main={draw(main)} side={draw(side)} />
    </Screen>
  );
}
