import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { Linking } from "react-native";
import { customerPageRoutes as routes, type CustomerPage } from "@mechanon/contract";
import { addressOf, call } from "../../api/call";
import { Button } from "../../ui/Button";
import { Heading } from "../../ui/Heading";
import { Notice } from "../../ui/Notice";
import { Screen } from "../../ui/Screen";
import { WaitingRows } from "../../ui/WaitingRows";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import { PageHead } from "../PageHead";
import { OrderPart } from "./OrderPart";
import { ProveWho } from "./ProveWho";
import { RequestPart } from "./RequestPart";
import { usePageActs } from "./usePageActs";

/** While somebody is on the way it is looked at often, else now and then. */
const ON_THE_WAY_MS = 10_000;
const NOW_AND_THEN_MS = 60_000;

/** One private page for all a customer has with a business, at every stage. */
export function MinePage({ token }: { token: string }) {
  const { language, t, suggest } = useSpeaking();
  const { data, error, refetch } = useQuery({
    queryKey: ["mine", token],
    queryFn: () => call(routes.openPage, { params: { token } }),
    refetchInterval: ({ state }) => (isSomebodyComing(state.data) ? ON_THE_WAY_MS : NOW_AND_THEN_MS),
  });
  const kept = data?.language;
  useEffect(() => {
    if (kept) suggest(kept);
  }, [kept, suggest]);
  if (data) return <Mine token={token} page={data} />;
  return (
    <Screen measured title={t("mine.title")}>
      {error ? (
        <Notice
          text={faultWords(language, error)}
          action={{ label: t("page.tryAgain"), onPress: () => void refetch() }}
        />
      ) : (
        <WaitingRows label={t("page.loading")} />
      )}
    </Screen>
  );
}

function isSomebodyComing(page: CustomerPage | undefined): boolean {
  return page?.orders.some(({ visits }) => visits.some(({ standing }) => standing === "driving")) ?? false;
}

function Mine({ token, page }: { token: string; page: CustomerPage }) {
  const { t } = useSpeaking();
  const acts = usePageActs(token);
  const { requests, orders, name, isProven, ways, askSlug } = page;
  return (
    <Screen
      measured
      title={t("mine.title")}
      foot={
        askSlug === null ? undefined : (
          <Button label={t("mine.askAgain")} onPress={() => void Linking.openURL(`/ask/${askSlug}`)} />
        )
      }
    >
      <PageHead
        {...page}
        logoUri={page.hasLogo ? addressOf(routes.pageLogo.path, { token }) : undefined}
        onPick={(language) => acts.speak.mutate(language)}
      />
      <Heading level={1}>{t("mine.hello", { name })}</Heading>
      {requests.map((request) => (
        <RequestPart key={request.id} request={request} page={page} acts={acts} />
      ))}
      {orders.map((order) => (
        <OrderPart key={order.id} order={order} page={page} token={token} acts={acts} />
      ))}
      {requests.length + orders.length === 0 ? <Words tone="muted">{t("mine.nothing")}</Words> : null}
      {isProven ? <Words tone="muted">{t("mine.all")}</Words> : null}
      {ways.length > 0 ? <ProveWho token={token} ways={ways} /> : null}
    </Screen>
  );
}
