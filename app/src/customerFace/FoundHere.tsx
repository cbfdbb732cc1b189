import { pointById, type FoundSeen, type Language } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { FoundSeenItem, FoundSeenList } from "../found/FoundSeenList";
import { LargePicture } from "../found/LargePicture";
import { usePhoto } from "../photos/PhotoImage";
import type { Business } from "../session/useSession";

interface FoundHereProps {
  view: WorkOrderView;
  business: Business;
  /** What no job of the quote cures; that stands beside its price. */
  found: readonly FoundSeen[];
  language: Language;
}

/** What was found, on the mechanic's phone turned to the customer: in their language, and without a signal, too. */
export function FoundHere({ view: { state }, business, found, language }: FoundHereProps) {
  const points = business.settings.inspection;
  const fine = state.findings
    .filter(({ grade }) => grade === "sound")
    .map(({ pointId }) => {
      const point = pointById(pointId, state, points);
      const en = point?.title ?? pointId;
      return { en, es: point?.titleEs || en };
    });
  return (
    <FoundSeenList found={found} fine={fine} language={language} timeZone={business.timeZone} drawPicture={drawOwn} />
  );
}

/** One finding beside the price of what cures it. */
export function FoundBeside({ found, language, timeZone }: { found: FoundSeen; language: Language; timeZone: string }) {
  return <FoundSeenItem found={found} language={language} timeZone={timeZone} drawPicture={drawOwn} />;
}

function drawOwn({ photoId, media }: FoundSeen["pictures"][number], label: string) {
  return <OwnPicture id={photoId} media={media} label={label} />;
}

function OwnPicture({ id, media, label }: { id: string; media: "photo" | "clip"; label: string }) {
  const uri = usePhoto(id);
  return uri === null ? null : <LargePicture uri={uri} media={media} label={label} />;
}
