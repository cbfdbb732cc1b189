import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { SafeAreaProvider } from "react-native-safe-area-context";
import { FaceProvider } from "../ui/face";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
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
        <FaceProvider>{pageOf(path)}</FaceProvider>
      </QueryClientProvider>
    </SafeAreaProvider>
  );
}

function pageOf(path: string): React.ReactNode {
  const [, kind, token] = /^\/([rt])\/([^/]+)\/?$/.exec(path) ?? [];
  if (kind === "r" && token !== undefined) return <ReceiptPage token={decodeURIComponent(token)} />;
  if (kind === "t" && token !== undefined) return <NewTimePage token={decodeURIComponent(token)} />;
  return (
    <Screen title="Nothing here">
      <Notice text="This link leads nowhere. Open it from your message once more; some programs cut off its end." />
    </Screen>
  );
}
