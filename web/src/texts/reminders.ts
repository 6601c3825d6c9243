export const subscribe = "Reminders in your calendar";
export const whatSubscribing =
  "Your calendar program reads this address and reminds you on the day at nine: inspect, order, renew, fluid, re-torque. Dates move by themselves after each reading. Anyone who knows the address can read it, and nothing else.";
export const here = "On this computer";
export const inTheNetwork = "On your network";
export const onlyHere = "Phones reach it once they are allowed on this network.";
export const allowPhones = "Phone access";
export const makeAddress = "Make private address";
export const newAddress = "New address (the old one stops working)";
export const removeAddress = "Remove address";
export const notify = "Remind me in this browser";
export const whatNotifying =
  "Shows what is due while Graver is open in a tab, once a day. A closed browser reminds nobody: use the calendar for that.";
export const blocked =
  "This browser blocks notifications from Graver. Allow them in its site settings, then try again.";
export const cant = "This browser shows no notifications here. Use the calendar instead.";
export const due = "{vehicle}: due";
export const more = "and {count} more";
