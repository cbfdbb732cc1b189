import { Camera } from "../ui/icons";
import { createElement, useRef, useState, type ChangeEvent } from "react";
import { View } from "react-native";
import { Button } from "../ui/Button";
import { Words } from "../ui/Words";
import { shrinkPhoto } from "./shrink";

export interface PhotoButtonProps {
  label: string;
  /** What the photo is of, for screen readers; left out where `spoken` says all. */
  of?: string;
  /** What is read aloud, where it is not "Photo of ...". */
  spoken?: string;
  /** Told of a file that is no picture, where it is not told in our own words. */
  unreadable?: string;
  testID: string;
  /** Keeps the photo, already small enough to send. */
  onTake: (photo: Blob) => void | Promise<void>;
}

/** Takes a photo with the camera or picks a file. */
export function PhotoButton({
  label,
  of = "",
  spoken = `Photo of ${of}`,
  unreadable,
  testID,
  onTake,
}: PhotoButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  const [fault, setFault] = useState<string | null>(null);
  const take = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = "";
    if (!file) return;
    const small = await shrinkPhoto(file);
    setFault(
      small
        ? null
        : (unreadable ?? `${file.name} is no picture this device can read. Take the photo again or pick another file.`),
    );
    if (small) await onTake(small);
  };
  return (
    <View>
      <Button kind="quiet" icon={Camera} label={label} onPress={() => input.current?.click()} />
      {createElement("input", {
        ref: input,
        type: "file",
        accept: "image/*",
        capture: "environment",
        "aria-label": spoken,
        "data-testid": testID,
        style: { display: "none" },
        onChange: (event: ChangeEvent<HTMLInputElement>) => void take(event),
      })}
      {fault ? (
        <Words size="small" tone="alarm" role="alert">
          {`✕ ${fault}`}
        </Words>
      ) : null}
    </View>
  );
}
