import { StyleSheet, View } from "react-native";
import type { Picture } from "@mechanon/core";
import { useSync } from "../sync/state";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { PhotoImage } from "./PhotoImage";

const SIDE = 104;

/** A picture as a strip shows it. */
export type ShownPicture = Pick<Picture, "photoId"> & Partial<Pick<Picture, "media" | "moment">>;

export interface PhotoStripProps {
  pictures: readonly ShownPicture[];
  title: string;
  /** Says of a photo that it is not at the server: the mechanic's to know, not the customer's. */
  tellsSending?: boolean;
  /** Looks at one, large; left out: they are not to be touched. */
  onOpen?: ((photoId: string) => void) | undefined;
}

/** Photos in a row; one that is not sent yet is shown from this device. */
export function PhotoStrip({ pictures, title, tellsSending = false, onOpen }: PhotoStripProps) {
  if (pictures.length === 0) return null;
  return (
    <View style={styles.strip}>
      {pictures.map((picture, index) => (
        <Photo
          key={picture.photoId}
          picture={picture}
          label={`${title}, photo ${index + 1}`}
          tellsSending={tellsSending}
          onOpen={onOpen}
        />
      ))}
    </View>
  );
}

const MOMENTS = { before: "Before", after: "After" } as const;

function Photo({
  picture: { photoId, media = "photo", moment = null },
  label,
  tellsSending,
  onOpen,
}: Pick<PhotoStripProps, "tellsSending" | "onOpen"> & { picture: ShownPicture; label: string }) {
  const waits = useSync((state) => state.photos.find((photo) => photo.id === photoId));
  const sending = waits && tellsSending ? (waits.refusal ?? sendingWords(waits.sentShare)) : null;
  const image = <PhotoImage id={photoId} label={label} media={media} isSmall style={styles.photo} />;
  return (
    <View>
      {onOpen ? (
        <Press label={`${label}, large`} onPress={() => onOpen(photoId)}>
          {image}
        </Press>
      ) : (
        image
      )}
      {moment ? <Words size="small">{MOMENTS[moment]}</Words> : null}
      {sending === null ? null : (
        <Words size="small" tone={waits?.refusal ? "alarm" : "muted"} style={styles.words}>
          {sending}
        </Words>
      )}
    </View>
  );
}

function sendingWords(share: number | undefined): string {
  return share === undefined ? "Not sent yet" : `${Math.floor(share * 100)} % sent`;
}

const styles = StyleSheet.create({
  strip: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  photo: { width: SIDE, height: SIDE, borderRadius: 4 },
  words: { maxWidth: SIDE },
});
