/** What went wrong with a mailbox, for whoever owns it. */
export function faultInWords(error: unknown, at: { readonly host: string; readonly port: number }): string {
  const { authenticationFailed, code, message, responseText } = error as {
    authenticationFailed?: boolean;
    code?: string;
    message?: string;
    responseText?: string;
  };
  if (authenticationFailed) return "The mail server does not take the name and password. Give them anew.";
  if (code === "ENOTFOUND" || code === "EAI_AGAIN") return `There is no mail server ${at.host}.`;
  if (code === "ECONNREFUSED") return `${at.host} takes no connection at port ${at.port}.`;
  if (code === "ETIMEDOUT" || code === "CONNECT_TIMEOUT") return `${at.host} does not answer.`;
  if (/certificate|self.signed/i.test(message ?? ""))
    return `The certificate of ${at.host} cannot be trusted: ${message}.`;
  return `The mailbox could not be read: ${responseText || message || "unknown fault"}.`;
}
