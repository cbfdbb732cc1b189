import { usePathname, useRouter, type Href } from "expo-router";
import { CalendarDays, CircleDashed, CirclePlus, Milestone, Search, UserRound, type IconShape } from "../ui/icons";
import { useState, type ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { DayRoad } from "../day/DayRoad";
import { WaitingStrip } from "../requests/WaitingStrip";
import { useColors } from "../ui/face";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { Words } from "../ui/Words";
import { KeyHelp } from "./KeyHelp";
import { useFrameKeys } from "./useFrameKeys";

const PLACES: readonly { href: Href & string; label: string; icon: IconShape }[] = [
  { href: "/", label: "Day", icon: Milestone },
  { href: "/calendar", label: "Calendar", icon: CalendarDays },
  { href: "/open", label: "Open", icon: CircleDashed },
  { href: "/new", label: "New", icon: CirclePlus },
  { href: "/find", label: "Find", icon: Search },
  { href: "/me", label: "You", icon: UserRound },
];

/** Around every screen: the ways to go, and on a wide one the day at the left. */
export function Frame({ children }: { children: ReactNode }) {
  const colors = useColors();
  const isWide = useIsWide();
  const path = usePathname();
  const [helpOpen, setHelpOpen] = useState(false);
  useFrameKeys(() => setHelpOpen((open) => !open));
  // The sheet has its own foot; the ways out are at its head.
  const hasBar = isWide || !path.startsWith("/work/");
  return (
    <View style={[styles.frame, { backgroundColor: colors.paper, flexDirection: isWide ? "row" : "column" }]}>
      {isWide ? <Bar path={path} isWide /> : null}
      {isWide && !takesTheWholeWidth(path) ? (
        <View style={[styles.day, { borderColor: colors.hairline }]} role="complementary" aria-label="Day">
          <DayRoad compact />
        </View>
      ) : null}
      <View style={styles.middle}>
        <WaitingStrip />
        {children}
      </View>
      {!isWide && hasBar ? <Bar path={path} isWide={false} /> : null}
      {helpOpen ? <KeyHelp onClose={() => setHelpOpen(false)} /> : null}
    </View>
  );
}

/** The calendar is the day itself; a quote as a table has what it is about at its own sides. */
function takesTheWholeWidth(path: string): boolean {
  return path === "/calendar" || /^\/work\/[^/]+\/quote$/.test(path);
}

function Bar({ path, isWide }: { path: string; isWide: boolean }) {
  const colors = useColors();
  const router = useRouter();
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={[isWide ? styles.rail : styles.bar, { borderColor: colors.hairline }]}
    >
      {PLACES.map(({ href, label, icon: Icon }) => {
        const isHere = path === href;
        return (
          <Press
            key={href}
            role="link"
            label={label}
            aria-current={isHere ? "page" : undefined}
            onPress={() => router.navigate(href)}
            style={[styles.place, { borderColor: isHere ? colors.petrol : "transparent" }]}
          >
            <View style={styles.inside}>
              <Icon size={24} color={isHere ? colors.petrol : colors.ink} strokeWidth={isHere ? 2.6 : 2} />
              <Words size="small" tone={isHere ? "petrol" : "ink"} strong={isHere}>
                {label}
              </Words>
            </View>
          </Press>
        );
      })}
    </View>
  );
}

const DAY_WIDTH = 330;
const styles = StyleSheet.create({
  frame: { flex: 1, width: "100%" },
  middle: { flex: 1, minWidth: 0 },
  day: { width: DAY_WIDTH, borderRightWidth: 1 },
  bar: { flexDirection: "row", borderTopWidth: 1 },
  rail: { width: 76, borderRightWidth: 1, paddingTop: SPACE.l, gap: SPACE.s },
  place: { flexGrow: 1, flexBasis: 0, borderTopWidth: 3, maxHeight: 64, minHeight: 60 },
  inside: { alignItems: "center", gap: 2 },
});
