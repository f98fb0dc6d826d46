/**
 * Whether this browser makes passkeys for this server: over TLS or on this machine, and for a name: an address of figures
 * has none.
 */
export const passkeysWork = (): boolean =>
  isSecureContext && "PublicKeyCredential" in window && !/^[\d.]+$|:/.test(location.hostname);
