import { nameSpellings } from "./nameSpellings";

it.each([
  ["Maren Oyelaran", []],
  ["Jean-Luc Abara", ["jeanluc", "lucabara"]],
  ["Ana Okoye", []],
  ["Bo Okoye", ["bookoye"]],
  ["Noor Haddad-Bell", ["noorhaddad", "haddadbell"]],
  ["Anna Maria Okoye", ["annamaria"]],
  ["Pat O Dell", ["pato", "odell"]],
  ["Pieter van der Quell", ["pietervan", "vander", "derquell", "vanderquell"]],
  ["Birch & Daughters", ["and"]],
  ["西田小春", ["田小春", "小春", "春"]],
  ["", []],
])("%p is also typed as %p", (name, spellings) => expect(nameSpellings(name)).toEqual(spellings));
