/** Said aloud where the device can, for those who look at the brake and not at the screen. */
export function spoken(text: string): void {
  if (!("speechSynthesis" in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}
