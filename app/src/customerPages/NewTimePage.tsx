import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { showPhone, showPlainMoment } from "@mechanon/core";
import { newTimePageRoutes as routes, type NewTime } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";

/** The new time a customer was asked about: yes or no, without signing in. */
export function NewTimePage({ token }: { token: string }) {
  const queries = useQueryClient();
  const key = ["newTime", token];
  const { data, error, refetch } = useQuery({
    queryKey: key,
    queryFn: () => call(routes.openNewTime, { params: { token } }),
  });
  const say = useMutation({
    mutationFn: (answer: "yes" | "no") => call(routes.answerNewTime, { params: { token }, body: { answer } }),
    onSuccess: (after) => queries.setQueryData(key, after),
    onError: () => void refetch(),
  });
  const isOpen = data !== undefined && data.answer === null && !data.isOver;
  return (
    <Screen
      measured
      title="A new time"
      foot={
        isOpen ? (
          <>
            {say.error ? <Notice text={errorWords(say.error)} /> : null}
            <Button
              kind="next"
              label="Yes, come then"
              busy={say.isPending}
              onPress={() => say.mutate("yes")}
              testID="say-yes"
            />
            <Button
              label="No, leave it as it is"
              busy={say.isPending}
              onPress={() => say.mutate("no")}
              testID="say-no"
            />
          </>
        ) : undefined
      }
    >
      {data ? (
        <Asked asked={data} />
      ) : error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : (
        <WaitingRows label="Loading" />
      )}
    </Screen>
  );
}

function Asked({ asked }: { asked: NewTime }) {
  const {
    businessName,
    businessPhone,
    timeZone: zone,
    mechanic,
    why,
    fromStartsAt,
    startsAt,
    answerBy,
    answer,
    isOver,
  } = asked;
  const [from, to] = [showPlainMoment(fromStartsAt, zone), showPlainMoment(startsAt, zone)];
  if (answer === "yes")
    return (
      <Said
        title="Thank you"
        words={`${mechanic} comes ${to}. Nothing else is needed.`}
        {...{ businessName, businessPhone }}
      />
    );
  if (answer === "no")
    return (
      <Said
        title="It stays"
        words={`We come ${from}, as it was. If it is too wet we will call.`}
        {...{ businessName, businessPhone }}
      />
    );
  if (isOver)
    return (
      <Said
        title="Too late to answer here"
        words="The visit was changed meanwhile, or the time to answer is over. Please call us."
        {...{ businessName, businessPhone }}
      />
    );
  return (
    <>
      <Heading level={1}>{`Could we come ${to} instead?`}</Heading>
      <Words>{`${why} on ${from}, and the job needs it dry. ${mechanic} could come ${to}.`}</Words>
      <Words tone="muted">{`The time is kept for you until ${showPlainMoment(answerBy, zone)}.`}</Words>
      <Words tone="muted">{`${businessName}, ${showPhone(businessPhone)}`}</Words>
    </>
  );
}

function Said({
  title,
  words,
  businessName,
  businessPhone,
}: {
  title: string;
  words: string;
  businessName: string;
  businessPhone: string;
}) {
  return (
    <>
      <Heading level={1}>{title}</Heading>
      <Words>{words}</Words>
      <Words tone="muted">{`${businessName}, ${showPhone(businessPhone)}`}</Words>
    </>
  );
}
