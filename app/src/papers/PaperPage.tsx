import { StyleSheet, View } from "react-native";
import type { PaperBlock } from "@mechanon/core";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { Logo } from "./Logo";

interface PaperPageProps {
  businessName: string;
  /** PNG in base 64; null: none. */
  logo: string | null;
  blocks: readonly PaperBlock[];
}

/** A paper on screen, from the same pieces as its PDF. */
export function PaperPage({ businessName, logo, blocks }: PaperPageProps) {
  const colors = useColors();
  return (
    <View style={[styles.paper, { borderColor: colors.hairline }]} role="article" testID="paper">
      {logo === null ? null : <Logo uri={`data:image/png;base64,${logo}`} name={businessName} />}
      {blocks.map((block, index) => (
        <Block key={index} block={block} />
      ))}
    </View>
  );
}

function Block({ block }: { block: PaperBlock }) {
  const colors = useColors();
  switch (block.is) {
    case "title":
      return <Heading level={1}>{block.text}</Heading>;
    case "heading":
      return <Heading level={2}>{block.text}</Heading>;
    case "strong":
      return <Words strong>{block.text}</Words>;
    case "words":
      return <Words>{block.text}</Words>;
    case "small":
      return (
        <Words size="small" tone="muted">
          {block.text}
        </Words>
      );
    case "row":
      return (
        <Row
          left={block.left}
          right={block.right}
          strong={block.tone === "strong"}
          tone={block.tone === "muted" ? "muted" : "ink"}
        />
      );
    case "rule":
      return <View style={[styles.rule, { borderColor: colors.ink }]} />;
    case "room":
      return (
        <View>
          <Words size="small" tone="muted">
            {block.label}
          </Words>
          {Array.from({ length: block.lines }, (_, line) => (
            <View key={line} style={[styles.room, { borderColor: colors.muted }]} />
          ))}
        </View>
      );
  }
}

const styles = StyleSheet.create({
  paper: { gap: SPACE.s, maxWidth: 640, width: "100%", borderWidth: 1, padding: SPACE.l },
  rule: { borderTopWidth: 1 },
  room: { borderBottomWidth: 1, height: 28 },
});
