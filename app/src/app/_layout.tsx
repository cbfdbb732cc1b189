import { AtkinsonHyperlegibleMono_500Medium } from "@expo-google-fonts/atkinson-hyperlegible-mono/500Medium";
import { AtkinsonHyperlegibleNext_400Regular } from "@expo-google-fonts/atkinson-hyperlegible-next/400Regular";
import { AtkinsonHyperlegibleNext_700Bold } from "@expo-google-fonts/atkinson-hyperlegible-next/700Bold";
import { QueryCache, QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { useFonts } from "expo-font";
import { Slot } from "expo-router";
import { SafeAreaProvider } from "react-native-safe-area-context";
import { ApiProblem } from "../api/problem";
import { registerServiceWorker } from "../offline/registerServiceWorker";
import { FaceProvider } from "../ui/face";

const queries = new QueryClient({
  queryCache: new QueryCache({
    // The session ended, or is another person's: who is signed in is asked anew; what is unsent stays on the device.
    onError: (error) => {
      if (!(error instanceof ApiProblem)) return;
      const { code } = error.problem;
      const isStranger = queries.getQueryData(["me"]) === null;
      if (!isStranger && (code === "session/missing" || code === "session/of-another"))
        void queries.invalidateQueries({ queryKey: ["me"] });
    },
  }),
  defaultOptions: { queries: { retry: 1, staleTime: 5_000, refetchOnWindowFocus: true } },
});

registerServiceWorker();

export { PageFault as ErrorBoundary } from "../frame/PageFault";

export default function RootLayout() {
  // Until they are here the text reads in the system's face: no page waits for them.
  useFonts({
    AtkinsonHyperlegibleNext_400Regular,
    AtkinsonHyperlegibleNext_700Bold,
    AtkinsonHyperlegibleMono_500Medium,
  });
  return (
    <SafeAreaProvider>
      <QueryClientProvider client={queries}>
        <FaceProvider>
          <Slot />
        </FaceProvider>
      </QueryClientProvider>
    </SafeAreaProvider>
  );
}
