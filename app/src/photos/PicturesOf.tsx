import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { picturesOf, type Picture } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { attachPhoto } from "../sync/photoActs";
import { SPACE } from "../ui/theme";
import { PhotoButton } from "./PhotoButton";
import { PhotoStrip } from "./PhotoStrip";
import { PhotoViewer } from "./PhotoViewer";

interface PicturesOfProps {
  of: Picture["of"];
  id: string;
  /** What they are of, for screen readers. */
  title: string;
  /** Of its button. */
  label: string;
  view: WorkOrderView;
}

/** Photos and clips of something of a work order: taken, looked at large, drawn upon. */
export function PicturesOf({ of, id, title, label, view }: PicturesOfProps) {
  const [openId, setOpenId] = useState<string | null>(null);
  const { state } = view;
  return (
    <View style={styles.list}>
      <PhotoButton
        many
        label={label}
        of={title}
        testID={`photo-${of}-${id}`}
        onTake={async (photo, media) => {
          await attachPhoto(state.id, { of, id, media }, photo);
        }}
      />
      <PhotoStrip pictures={picturesOf(state, of, id)} title={title} tellsSending onOpen={setOpenId} />
      {openId === null ? null : (
        <PhotoViewer photoId={openId} title={title} of={{ of, id }} view={view} onClose={() => setOpenId(null)} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs } });
