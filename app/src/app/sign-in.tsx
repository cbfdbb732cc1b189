export { SignIn as default } from "../session/SignIn";
