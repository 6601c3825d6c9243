export const phoneAccessGraver = "Phone access, Graver";
export const signIn = "Sign in";
export const signInWithThePassphrase =
  "Enter the household's passphrase, or pair this device by the code Graver shows on its own machine (Phone access).";
export const passphrase = "Passphrase";
export const aNewPassphrase = "A new passphrase: every device signs in anew";
export const setAPassphrase = "Set a passphrase: four words nobody guesses";
export const savePassphrase = "Save passphrase";
export const passphraseSaved = "Saved. Every device has to sign in anew.";
export const letPhonesIn = "Let phones of this network in";
export const encryptTheWay = "Encrypt the way to them";
export const theFingerprint = "The certificate's SHA-256 fingerprint: {fingerprint}";
export const notListening = "Graver listens on this machine only.";
export const listeningAt = "Phones of this network find Graver at {address}.";
export const pairAPhone = "Pair a phone";
export const pairAnother = "Another code";
export const scanIt =
  "Scan it with the phone's camera, or type the address there. It lets one device in, once, within {minutes} minutes.";
export const theCode = "Code to scan";
export const devices = "Devices that are signed in";
export const noDevices = "None.";
export const signedInSeen = "since {begun}, last seen {seen}, until {until}";
export const signOut = "Sign out";
export const withoutHttps =
  "The way is not encrypted: whoever is in the same network and listens can read what passes, the passphrase too, and act as your phone. At home with a network password of your own that is nobody, as a rule. Encrypted, the phone can keep its screen on, too.";
export const withHttps =
  "The way is encrypted by a certificate Graver made itself. Nobody vouches for it, so the browser warns once: compare its fingerprint with the one below, then go on. Graver never leaves your network.";
export const pairing = "Pairing this device";
/** What a device is called in the list: its kind, as its browser says it. */
export const thisDevice = (agent: string): string => (/Mobi/.test(agent) ? "Phone" : "Computer");
