import { AppRegistry } from "react-native";
import { CustomerPages } from "./CustomerPages";

AppRegistry.registerComponent("CustomerPages", () => CustomerPages);
AppRegistry.runApplication("CustomerPages", {
  initialProps: { path: location.pathname },
  rootTag: document.getElementById("root"),
});
