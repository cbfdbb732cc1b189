import { createElement, lazy, Suspense, useState } from "react";
import { Image, Modal, ScrollView, StyleSheet, View } from "react-native";
import type { Picture } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { sendCommand } from "../sync/give";
import { attachPhoto, type PictureOf } from "../sync/photoActs";
import { dropPhoto } from "../sync/photos";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { usePhoto } from "./PhotoImage";

const DrawOnPhoto = lazy(() => import("./DrawOnPhoto").then((loaded) => ({ default: loaded.DrawOnPhoto })));

interface PhotoViewerProps {
  photoId: string;
  title: string;
  of: PictureOf;
  view: WorkOrderView;
  onClose: () => void;
}

const MOMENTS = [
  { value: "", label: "By itself" },
  { value: "before", label: "Before" },
  { value: "after", label: "After" },
] as const;

/** One photo or clip, large; drawn upon, marked as before or after, taken off. */
export function PhotoViewer({ photoId, title, of, view: { state }, onClose }: PhotoViewerProps) {
  const colors = useColors();
  const uri = usePhoto(photoId);
  const [isDrawing, setDrawing] = useState(false);
  const picture = state.pictures.find((each) => each.photoId === photoId);
  const remove = (): void => {
    sendCommand(state.id, { type: "removePhoto", photoId });
    void dropPhoto(photoId);
    onClose();
  };
  const keepDrawn = async (drawn: Blob): Promise<void> => {
    // The untouched one stays beneath: drawn again, it is drawn on that.
    await attachPhoto(
      state.id,
      { ...of, moment: picture?.moment ?? null, drawnOn: picture?.drawnOn ?? photoId },
      drawn,
    );
    onClose();
  };
  const mark = ({ media, of: target, id, drawnOn }: Picture, moment: "before" | "after" | null): void =>
    sendCommand(state.id, { type: "attachPhoto", photoId, media, of: target, id, moment, drawnOn });
  return (
    <Modal visible animationType="none" onRequestClose={onClose} aria-label={`${title}, large`}>
      <View style={[styles.screen, { backgroundColor: colors.paper }]}>
        {isDrawing && uri !== null ? (
          <Suspense fallback={null}>
            <DrawOnPhoto uri={uri} title={title} onKeep={keepDrawn} onBack={() => setDrawing(false)} />
          </Suspense>
        ) : (
          <>
            <ScrollView style={styles.scroll} contentContainerStyle={styles.middle} maximumZoomScale={4}>
              {uri === null ? null : picture?.media === "clip" ? (
                createElement("video", {
                  src: uri,
                  controls: true,
                  playsInline: true,
                  "aria-label": title,
                  style: { width: "100%", maxHeight: "100%" },
                })
              ) : (
                <Image
                  source={{ uri }}
                  alt={title}
                  accessibilityLabel={title}
                  resizeMode="contain"
                  style={styles.photo}
                />
              )}
            </ScrollView>
            <View style={styles.foot}>
              {picture ? (
                <>
                  <Choices
                    label="Before or after"
                    options={MOMENTS}
                    value={picture.moment ?? ""}
                    onChoose={(value) => mark(picture, value === "" ? null : value)}
                  />
                  <View style={styles.row}>
                    {picture.media === "photo" ? (
                      <Button label="Draw on it" onPress={() => setDrawing(true)} testID="draw" />
                    ) : null}
                    <Button kind="quiet" label="Take it off" onPress={remove} />
                  </View>
                </>
              ) : null}
              <Button label="Close" onPress={onClose} testID="close-photo" />
            </View>
          </>
        )}
      </View>
    </Modal>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  scroll: { flex: 1 },
  middle: { flexGrow: 1, justifyContent: "center" },
  photo: { width: "100%", flex: 1, minHeight: 320 },
  foot: { padding: SPACE.l, gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
});
