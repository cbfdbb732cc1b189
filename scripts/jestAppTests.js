// The first test of a file also waits for its modules to be rewritten, which takes seconds on a cold machine.
jest.setTimeout(60_000);
require("@testing-library/react-native").configure({ asyncUtilTimeout: 4000 });
// What one test left typed in a form is no other's.
afterEach(() => {
  const { useUnsavedForms } = require("../app/src/unsaved/useUnsaved");
  useUnsavedForms.setState({ forms: {} });
});
