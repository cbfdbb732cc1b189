import { createElement, useEffect, useState } from "react";
import { Image, StyleSheet, View, type ImageStyle, type StyleProp, type ViewStyle } from "react-native";
import { photoBlob } from "../sync/photos";
import { useColors } from "../ui/face";
import { Play } from "../ui/icons";

export interface PhotoImageProps {
  id: string;
  label: string;
  style: StyleProp<ImageStyle>;
  media?: "photo" | "clip";
  /** For a list: the server's small one is enough. */
  isSmall?: boolean;
}

/** A photo or the first picture of a clip: this device's own copy where it has one, sent or not, else the server's. */
export function PhotoImage({ id, label, style, media = "photo", isSmall = false }: PhotoImageProps) {
  const uri = usePhoto(id, isSmall && media === "photo");
  if (uri === null) return <View style={style} />;
  if (media === "clip") return <ClipStill uri={uri} label={label} style={style} />;
  return <Image source={{ uri }} alt={label} accessibilityLabel={label} style={style} />;
}

function ClipStill({ uri, label, style }: { uri: string; label: string; style: StyleProp<ViewStyle> }) {
  const colors = useColors();
  return (
    <View style={[style, styles.clip, { backgroundColor: colors.ink }]} role="img" aria-label={`Clip: ${label}`}>
      {createElement("video", {
        src: `${uri}#t=0.1`,
        preload: "metadata",
        muted: true,
        playsInline: true,
        "aria-hidden": true,
        style: { width: "100%", height: "100%", objectFit: "cover" },
      })}
      <View style={styles.play}>
        <Play size={32} color={colors.paper} />
      </View>
    </View>
  );
}

/** Where a photo is: this device's own copy, or the server's; null: it is being looked for here. */
export function usePhoto(id: string, isSmall = false): string | null {
  const [own, setOwn] = useState<{ id: string; address: string | null } | null>(null);
  useEffect(() => {
    let address: string | null = null;
    let isGone = false;
    void photoBlob(id).then((blob) => {
      if (isGone) return;
      address = blob ? URL.createObjectURL(blob) : null;
      setOwn({ id, address });
    });
    return () => {
      isGone = true;
      if (address) URL.revokeObjectURL(address);
    };
  }, [id]);
  if (own?.id !== id) return null;
  return own.address ?? `/api/photos/${id}${isSmall ? "?size=small" : ""}`;
}

const styles = StyleSheet.create({
  clip: { overflow: "hidden" },
  play: { position: "absolute", left: 0, right: 0, top: 0, bottom: 0, alignItems: "center", justifyContent: "center" },
});
