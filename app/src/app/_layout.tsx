import { AtkinsonHyperlegibleMono_500Medium } from "@expo-google-fonts/atkinson-hyperlegible-mono/500Medium";
import { AtkinsonHyperlegibleNext_400Regular } from "@expo-google-fonts/atkinson-hyperlegible-next/400Regular";
import { AtkinsonHyperlegibleNext_700Bold } from "@expo-google-fonts/atkinson-hyperlegible-next/700Bold";
import { QueryCache, QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { useFonts } from "expo-font";
import { Slot } from "expo-router";
import { SafeAreaProvider } from "react-native-safe-area-context";
import { ApiProblem } from "../api/problem";
import { registerServiceWorker } from "../offline/registerServiceWorker";
import { upgradeKept } from "../offline/upgradeKept";
import { FaceProvider } from "../ui/face";

const queries = new QueryClient({
  queryCache: new QueryCache({
    // A session that ended elsewhere leads to the sign-in; what is unsent stays on the device.
    onError: (error) => {
      if (error instanceof ApiProblem && error.problem.code === "session/missing") queries.setQueryData(["me"], null);
    },
  }),
  defaultOptions: { queries: { retry: 1, staleTime: 5_000, refetchOnWindowFocus: true } },
});

registerServiceWorker();
upgradeKept();

export default function RootLayout() {
  const [fontsReady, fontFault] = useFonts({
    AtkinsonHyperlegibleNext_400Regular,
    AtkinsonHyperlegibleNext_700Bold,
    AtkinsonHyperlegibleMono_500Medium,
  });
  // Without its own face the text still reads in the system's.
  if (!fontsReady && !fontFault) return null;
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
