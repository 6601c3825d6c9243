import { told } from "../texts/pageData";

const american = told("english") === "us";
/** "°C", or to Americans "°F". */
export const degreeUnit = american ? "°F" : "°C";
/** A temperature without its unit. */
export const degrees = (celsius: number): number => Math.round(american ? celsius * 1.8 + 32 : celsius);
/** What was typed, as °C; what is no number stays as it is, for the server to say so. */
export const toCelsius = (typed: string): string => {
  const value = Number(typed.replace(",", "."));
  return american && typed.trim() && !Number.isNaN(value) ? String(Math.round((value - 32) / 0.18) / 10) : typed;
};
