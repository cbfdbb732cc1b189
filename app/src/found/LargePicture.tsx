import { createElement } from "react";
import { Image, StyleSheet } from "react-native";

/** A photo as wide as the page, or a clip with its own controls. */
export function LargePicture({ uri, label, media }: { uri: string; label: string; media: "photo" | "clip" }) {
  if (media === "clip")
    return createElement("video", {
      src: uri,
      controls: true,
      playsInline: true,
      preload: "metadata",
      "aria-label": label,
      style: { width: "100%", maxWidth: 640, borderRadius: 4 },
    });
  return <Image source={{ uri }} alt={label} accessibilityLabel={label} resizeMode="contain" style={styles.photo} />;
}

const styles = StyleSheet.create({ photo: { width: "100%", maxWidth: 640, aspectRatio: 4 / 3, borderRadius: 4 } });
