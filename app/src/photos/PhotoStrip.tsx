import { StyleSheet, View } from "react-native";
import { useSync } from "../sync/state";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { PhotoImage } from "./PhotoImage";

const SIDE = 104;

export interface PhotoStripProps {
  ids: readonly string[];
  title: string;
  /** Says of a photo that it is not at the server: the mechanic's to know, not the customer's. */
  tellsSending?: boolean;
}

/** Photos in a row; one that is not sent yet is shown from this device. */
export function PhotoStrip({ ids, title, tellsSending = false }: PhotoStripProps) {
  if (ids.length === 0) return null;
  return (
    <View style={styles.strip}>
      {ids.map((id, index) => (
        <Photo key={id} id={id} label={`${title}, photo ${index + 1}`} tellsSending={tellsSending} />
      ))}
    </View>
  );
}

function Photo({ id, label, tellsSending }: { id: string; label: string; tellsSending: boolean }) {
  const waits = useSync((state) => state.photos.find((photo) => photo.id === id));
  const words = waits && tellsSending ? (waits.refusal ?? "Not sent yet") : null;
  return (
    <View>
      <PhotoImage id={id} label={label} style={styles.photo} />
      {words === null ? null : (
        <Words size="small" tone={waits?.refusal ? "alarm" : "muted"} style={styles.words}>
          {words}
        </Words>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  photo: { width: SIDE, height: SIDE, borderRadius: 4 },
  words: { maxWidth: SIDE },
});
