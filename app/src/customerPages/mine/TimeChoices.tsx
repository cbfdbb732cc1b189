import { showMomentIn, type AskedTime } from "@mechanon/core";
import { Choices } from "../../ui/Choices";
import { Notice } from "../../ui/Notice";
import { WaitingRows } from "../../ui/WaitingRows";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";

interface TimeChoicesProps {
  label: string;
  /** What stands there where there is none. */
  none: string;
  zone: string;
  asked: { data: { times: AskedTime[] } | undefined; error: Error | null; refetch: () => unknown };
  disabled?: boolean;
  onPick: (time: AskedTime) => void;
  testID: string;
}

/** Times to pick one of, as the server offers them. */
export function TimeChoices({ label, none, zone, asked, disabled = false, onPick, testID }: TimeChoicesProps) {
  const { language, t } = useSpeaking();
  const { data, error, refetch } = asked;
  if (error)
    return (
      <Notice
        text={faultWords(language, error)}
        action={{ label: t("page.tryAgain"), onPress: () => void refetch() }}
      />
    );
  if (!data) return <WaitingRows label={t("page.loading")} rows={3} />;
  if (data.times.length === 0) return <Words>{none}</Words>;
  const keyOf = ({ startsAt, mechanicId }: AskedTime): string => `${startsAt} ${mechanicId}`;
  return (
    <Choices
      label={label}
      options={data.times.map((time) => ({ value: keyOf(time), label: showMomentIn(language, time.startsAt, zone) }))}
      value={null}
      disabled={disabled}
      onChoose={(key) => {
        const time = data.times.find((each) => keyOf(each) === key);
        if (time) onPick(time);
      }}
      testID={testID}
    />
  );
}
