import { tidyName } from "./personName";

it.each([
  ["maren o'dell-reyes", "Maren O'Dell-Reyes"],
  ["Maren deVries", "Maren deVries"],
  ["  ANNA  b ", "ANNA b"],
  ["نور", "نور"],
  ["zoë ñandú", "Zoë Ñandú"],
])("name %p becomes %p", (typed, name) => expect(tidyName(typed)).toBe(name));
