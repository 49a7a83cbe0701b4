import { createContext, useContext } from "react";

/** The number used once that lets this page's own scripts run under the content security policy. */
const NonceContext = createContext<string | undefined>(undefined);
export const NonceProvider = NonceContext.Provider;

export function useNonce(): string | undefined {
  return useContext(NonceContext);
}
