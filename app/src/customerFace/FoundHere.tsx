import { foundSeen, pointById } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { FoundSeenList } from "../found/FoundSeenList";
import { LargePicture } from "../found/LargePicture";
import { useCarFacts } from "../jobLibrary/useCarFacts";
import { usePhoto } from "../photos/PhotoImage";
import type { Business } from "../session/useSession";

/** What was found, on the mechanic's phone turned to the customer: in their language, and without a signal, too. */
export function FoundHere({ view, business }: { view: WorkOrderView; business: Business }) {
  const { state, carBefore, customer } = view;
  const { specs } = useCarFacts(view);
  const points = business.settings.inspection;
  const language = customer?.language ?? "en";
  const found = foundSeen(state, { points, before: carBefore?.measures ?? [], specs });
  const fine = state.findings
    .filter(({ grade }) => grade === "sound")
    .map(({ pointId }) => {
      const point = pointById(pointId, state, points);
      const en = point?.title ?? pointId;
      return { en, es: point?.titleEs || en };
    });
  return (
    <FoundSeenList
      found={found}
      fine={fine}
      language={language}
      timeZone={business.timeZone}
      drawPicture={({ photoId, media }, label) => <OwnPicture id={photoId} media={media} label={label} />}
    />
  );
}

function OwnPicture({ id, media, label }: { id: string; media: "photo" | "clip"; label: string }) {
  const uri = usePhoto(id);
  return uri === null ? null : <LargePicture uri={uri} media={media} label={label} />;
}
