export const nothingAtThisAddress = "Nothing at this address";
export const goToTheGarage = "Go to the garage";
