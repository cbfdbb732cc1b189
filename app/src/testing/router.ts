/** Where the app was sent, in tests. */
export const visited: string[] = [];

export const useRouter = (): object => ({
  navigate: (href: string) => visited.push(href),
  replace: (href: string) => visited.push(href),
});
export const useLocalSearchParams = (): object => ({});
export const usePathname = (): string => "/";
export const Redirect = ({ href }: { href: string }): null => {
  visited.push(href);
  return null;
};
