import { createElement, useEffect, useRef, useState } from "react";
import { StyleSheet, View } from "react-native";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { vinClient } from "../vin/vinClient";
import { readCodes } from "./pictureClient";

const PAUSE_MS = 200;

/** Looks through the camera until a code with a VIN comes by. */
export function LiveCamera({ onFound, onClose }: { onFound: (vin: string) => void; onClose: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [vins, setVins] = useState<string[]>([]);
  useEffect(() => {
    let isOver = false;
    let stream: MediaStream | null = null;
    const look = async (): Promise<void> => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: "environment", width: { ideal: 1920 }, height: { ideal: 1080 } },
        });
        const element = video.current;
        if (!element || isOver) return;
        element.srcObject = stream;
        await element.play();
        while (!isOver) {
          const codes = element.videoWidth === 0 ? [] : await readCodes(await createImageBitmap(element), "quick");
          const found = (await Promise.all(codes.map(({ text }) => vinClient().readCode(text)))).flat();
          if (found.length > 0 && !isOver) return setVins([...new Set(found)]);
          await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
        }
      } catch {
        if (!isOver)
          setFault(
            "The camera cannot be used here: it is not allowed, busy, or not there. Take a photo of the VIN instead, or type it.",
          );
      } finally {
        stream?.getTracks().forEach((track) => track.stop());
      }
    };
    void look();
    return () => {
      isOver = true;
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  if (fault) return <Notice text={fault} action={{ label: "Close the camera", onPress: onClose }} />;
  if (vins.length > 0)
    return (
      <View style={styles.list}>
        <Words strong>The code says:</Words>
        {vins.map((vin) => (
          <Button key={vin} label={vin} onPress={() => onFound(vin)} testID="scanned" />
        ))}
      </View>
    );
  return (
    <View style={styles.list}>
      <Words>Hold the code in the picture: at the windshield or in the driver's door.</Words>
      {createElement("video", {
        ref: video,
        muted: true,
        playsInline: true,
        "aria-label": "Camera",
        style: { width: "100%", maxHeight: 320, borderRadius: 4, objectFit: "cover" },
      })}
      <Button kind="quiet" label="Close the camera" onPress={onClose} />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
