import { useEffect, useState } from "react";
import { Image, type ImageStyle, type StyleProp } from "react-native";
import { photoBlob } from "../sync/photos";

/** A photo: this device's own copy where it has one, sent or not, else the server's. */
export function PhotoImage({ id, label, style }: { id: string; label: string; style: StyleProp<ImageStyle> }) {
  return <Image source={{ uri: usePhoto(id) }} alt={label} accessibilityLabel={label} style={style} />;
}

function usePhoto(id: string): string {
  const [own, setOwn] = useState<{ id: string; address: string } | null>(null);
  useEffect(() => {
    let address: string | null = null;
    let isGone = false;
    void photoBlob(id).then((blob) => {
      if (!blob || isGone) return;
      address = URL.createObjectURL(blob);
      setOwn({ id, address });
    });
    return () => {
      isGone = true;
      if (address) URL.revokeObjectURL(address);
    };
  }, [id]);
  return own?.id === id ? own.address : `/api/photos/${id}`;
}
