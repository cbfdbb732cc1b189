import { Camera, Film } from "../ui/icons";
import { createElement, useRef, useState, type ChangeEvent } from "react";
import { View } from "react-native";
import { Button } from "../ui/Button";
import { Words } from "../ui/Words";
import { isPhotoFault, photoFaultWords, type PhotoFault } from "./photoFault";
import type { ReadyMedia } from "./photo.worker";
import { readyMedia } from "./readyMedia";

export interface PhotoButtonProps {
  label: string;
  /** What the photo is of, for screen readers; left out where `spoken` says all. */
  of?: string;
  /** What is read aloud, where it is not "Photo of ...". */
  spoken?: string;
  /** How a file that is not taken is told, where it is not told in the mechanic's words. */
  faultWords?: (fault: PhotoFault) => string;
  testID: string;
  /** Clips are taken, too, and several at once. */
  many?: boolean;
  /** Keeps the photo, already small enough to send. */
  onTake: (photo: Blob, media: ReadyMedia["media"]) => void | Promise<void>;
}

/** Takes a photo with the camera or picks files. */
export function PhotoButton({
  label,
  of = "",
  spoken = `Photo of ${of}`,
  faultWords,
  testID,
  many = false,
  onTake,
}: PhotoButtonProps) {
  const camera = useRef<HTMLInputElement>(null);
  const files = useRef<HTMLInputElement>(null);
  const [faults, setFaults] = useState<string[]>([]);
  const [isBusy, setBusy] = useState(false);
  const take = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const picked = [...(event.target.files ?? [])];
    event.target.value = "";
    if (picked.length === 0) return;
    setBusy(true);
    setFaults([]);
    // One after the other: several sensors' worth of pixels at once is more than a phone has room for.
    for (const file of picked) {
      const ready = await readyMedia(file);
      const fault: PhotoFault | null = isPhotoFault(ready)
        ? ready
        : ready.media === "clip" && !many
          ? { fault: "noPicture" }
          : null;
      if (fault) setFaults((before) => [...before, faultWords?.(fault) ?? photoFaultWords(file.name, fault)]);
      else if (!isPhotoFault(ready)) await onTake(ready.blob, ready.media);
    }
    setBusy(false);
  };
  const onChange = (event: ChangeEvent<HTMLInputElement>): void => void take(event);
  return (
    <View>
      <View style={{ flexDirection: "row", flexWrap: "wrap" }}>
        <Button kind="quiet" icon={Camera} label={label} busy={isBusy} onPress={() => camera.current?.click()} />
        {many ? (
          <Button
            kind="quiet"
            icon={Film}
            label="Files"
            spoken={`Files: photos or clips of ${of}`}
            onPress={() => files.current?.click()}
          />
        ) : null}
      </View>
      {createElement("input", {
        ref: camera,
        type: "file",
        accept: "image/*",
        capture: "environment",
        "aria-label": spoken,
        "data-testid": testID,
        style: { display: "none" },
        onChange,
      })}
      {many
        ? createElement("input", {
            ref: files,
            type: "file",
            accept: "image/*,video/*",
            multiple: true,
            "aria-label": `Photos or clips of ${of}`,
            "data-testid": `${testID}-files`,
            style: { display: "none" },
            onChange,
          })
        : null}
      {faults.map((fault) => (
        <Words key={fault} size="small" tone="alarm" role="alert">
          {`✕ ${fault}`}
        </Words>
      ))}
    </View>
  );
}
