/** By what the server's policy knows the styles that this page writes itself. */
export function nonceOf(page: Document = document): string | undefined {
  return page.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content
}
