export const phoneAccessGraver = "Phone access - Graver";
export const signIn = "Sign in";
export const signInHint =
  "Enter the household's passphrase, or pair this device by the code Graver shows on its own machine (Phone access).";
export const passphrase = "Passphrase";
export const aNewPassphrase = "New passphrase (every device must sign in again)";
export const setAPassphrase = "Set a passphrase: four words that are hard to guess";
export const savePassphrase = "Save passphrase";
export const passphraseSaved = "Saved. Every device must sign in again.";
export const allowPhones = "Allow phones on this network";
export const encryptTheWay = "Encrypt the connection (HTTPS)";
export const theFingerprint = "The certificate's SHA-256 fingerprint: {fingerprint}";
/** What will happen, in order. */
export const steps: [string, string][] = [
  ["Set a passphrase", "It keeps other people on your network out. You type it once on each device, or scan a code."],
  [
    "Allow phones",
    "Graver then answers on your own network, as long as it runs on this machine. Nothing goes over the internet.",
  ],
  [
    "Pair the phone",
    "Scan the code with its camera. The phone opens Graver in its browser; there's no app to install.",
  ],
];
export const notListening = "Graver listens on this machine only.";
export const listeningAt = "Phones on this network find Graver at {address}.";
export const pairAPhone = "Pair a phone";
export const pairAnother = "Another code";
export const scanHint =
  "Scan it with the phone's camera, or type the address there. It signs in one device, once, within {minutes} minutes.";
export const theCode = "Code to scan";
export const devices = "Signed-in devices";
export const noDevices = "None.";
export const signedInSeen = "since {begun}, last seen {seen}, until {until}";
export const signOut = "Sign out";
export const withoutHttps =
  "Not encrypted: anyone on your network could read the traffic, including the passphrase, and act as your phone. On a home network with its own password that is a small risk. With encryption the phone can also keep its screen on.";
export const withHttps =
  "The connection is encrypted with a certificate Graver made itself, so the browser warns once. Compare its fingerprint with the one below, then continue. Graver never leaves your network.";
export const pairing = "Pairing this device";
export const paired = "Paired";
export const yourName = "Your name";
export const saveName = "Save name";
export const nameSaved = "Saved.";
export const whoUsesIt =
  "Who uses this device? Your name is saved with every inspection and step you enter on it, so that the log shows who did what.";
export const withoutAName = "Continue without a name";
export const asGuest = "As a guest: can look, but not change anything";
export const guestDevice = "Guest";
export const usedBy = "{device}, {person}";
export const youAreAGuest = "You are a guest on this device: you can look at everything, but not change it.";
export const notForGuests = "This page is for entering things. A guest can look at every other page.";
export const nameHint = "Saved with every inspection, step and correction you enter on this device. The log shows it.";
/** A device's name in the list: its kind, from its browser. */
export const thisDevice = (agent: string): string => (/Mobi/.test(agent) ? "Phone" : "Computer");
