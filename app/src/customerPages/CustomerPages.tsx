import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { SafeAreaProvider } from "react-native-safe-area-context";
import { FaceProvider } from "../ui/face";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { AskPage } from "./ask/AskPage";
import { LanguageProvider, useSpeaking } from "./language";
import { MinePage } from "./mine/MinePage";
import { NewTimePage } from "./NewTimePage";
import { ReceiptPage } from "./ReceiptPage";

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 5_000 } } });

/**
 * What customers open from a link: an app of its own beside the mechanic's, so that an old phone on one bar loads no more
 * than its page needs.
 *
 * @param path - of the address, as in `/r/abc`.
 */
export function CustomerPages({ path }: { path: string }) {
  return (
    <SafeAreaProvider>
      <QueryClientProvider client={queries}>
        <FaceProvider>
          <LanguageProvider>
            <PageAt path={path} />
          </LanguageProvider>
        </FaceProvider>
      </QueryClientProvider>
    </SafeAreaProvider>
  );
}

function PageAt({ path }: { path: string }) {
  const { t } = useSpeaking();
  const [, kind, last] = /^\/(r|t|c|ask)\/([^/]+)\/?$/.exec(path) ?? [];
  const token = last === undefined ? "" : decodeURIComponent(last);
  switch (kind) {
    case "r":
      return <ReceiptPage token={token} />;
    case "t":
      return <NewTimePage token={token} />;
    case "c":
      return <MinePage token={token} />;
    case "ask":
      return <AskPage slug={token.toLowerCase()} />;
    default:
      return (
        <Screen title={t("page.nothingHere")}>
          <Notice text={t("page.badLink")} />
        </Screen>
      );
  }
}
