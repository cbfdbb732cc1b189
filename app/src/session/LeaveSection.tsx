import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useReachable } from "../api/reachable";
import { errorWords } from "../api/problem";
import { useSync } from "../sync/state";
import { SyncLine } from "../sync/SyncLine";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { leaveWords } from "./leaveWords";
import { signOut } from "./signOut";

/** Signing out: at once where all can be sent first, else after what it means was said. */
export function LeaveSection() {
  const queries = useQueryClient();
  const [fault, setFault] = useState<string | null>(null);
  const [isAsked, setAsked] = useState(false);
  const isReachable = useReachable((state) => state.isReachable);
  const left = useSync(({ pending, photos }) => pending.length + photos.length);
  const isKept = useSync(({ keeping }) => keeping === "kept");
  const words = leaveWords({ isReachable, waiting: isKept ? left : 0, atRisk: isKept ? 0 : left });
  const leave = async (): Promise<void> => {
    try {
      await signOut(queries);
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  return (
    <>
      <Heading level={2}>Leaving</Heading>
      <SyncLine />
      {fault ? <Notice text={fault} /> : null}
      {words && isAsked ? (
        <>
          <Notice text={words} />
          <Button label="Sign out all the same" onPress={() => void leave()} />
          <Button kind="quiet" label="Stay signed in" onPress={() => setAsked(false)} />
        </>
      ) : (
        <Button label="Sign out" onPress={() => (words ? setAsked(true) : void leave())} />
      )}
    </>
  );
}
