export const connected = "connected";
export const notConnected = "not connected";
export const disconnect = "Disconnect";
export const connect = "Connect";
export const stepsOfResolutionUnit = ", steps of {resolution} {unit}";
export const usualUncertaintyMmMmUsualForIts = "{usualUncertaintyMm} mm (usual for its kind)";
export const standardUncertaintyRest = "Standard uncertainty {rest}";
export const zeroIsRight = "Zero is right";
export const zeroIsOff = "Zero is off";
export const much = "much";
export const little = "little";
export const absMmTooRest = ", {abs} mm too {rest}";
export const showedReadAtReferenceUnit = ": showed {read} at {reference} {unit} on {day}{rest}.";
export const itsZeroWasNeverChecked = "Its zero was never checked.";
export const countCountMadeWithIt =
  "{count} {count|reading was|readings were} made with it since its zero was last good:";
export const andValueMore = "and {value} more";
export const takeTheAbsMmOut = "Subtract {abs} mm from {count} {count|reading|readings}";
export const addTheAbsMm = "Add {abs} mm to {count} {count|reading|readings}";
export const placeRead = "Reading";
export const asItWasRead = "Read";
export const asItWouldBe = "Corrected";
export const shouldBeUnit = "Should be ({unit})";
export const readingShown = "Reading shown";
export const checkItsZero = "Check its zero";
export const archiveTool = "Archive tool";
export const leastToMostUnit = "{least} to {most} {unit}";
export const rangeNotKnown = "range not known";
export const correctedReadingsCorrectedWhatWas = "{corrected} readings corrected; what was entered stays beside them.";
export const toolsYouOwn = "Tools you own";
export const aJobSaysEarlyWhich = "a job says early which others it needs; measuring tools above count by themselves";
export const aMeasuringToolAbove = "(a measuring tool above)";
export const general = "General";
export const socketsAndBits = "Sockets and bits";
export const rarelyOwned = "Rarely owned";
export const shelfAndSources = "Shelf and sources";
export const enteredInAJobsParts = "entered in a job's parts; taken off when a job is finished";
export const forWhat = "For";
export const priceEach = "Price each";
export const whatToDo = "What to do";
export const onTheShelfName = "On the shelf: {name}";
export const archive = "Archive";
export const nothingYetWhatYouEnter =
  "Nothing yet. What you enter for a job, its parts, cleaner or fluid, is kept here with its price and what is left of it.";
export const torqueWrenches = "Torque wrenches";
export const addATorqueWrench = "Add a torque wrench";
export const wrenchUnit = "Unit";
export const lastCalibrated = "Last calibrated";
export const theLengthIsNeededOnly =
  "The length is needed only for a crow-foot or offset extension; the calibration only to be reminded of it.";
export const wrench = "Wrench";
export const range = "Range";
export const length = "Length";
export const calibrated = "Calibrated";
export const lengthMmMm = "{lengthMm} mm";
export const neverAsFarAsIs = "never, as far as is known";
export const calibratedToday = "Calibrated today";
export const noneYetWithYourWrenches =
  "None yet. With your wrenches here a job says which one reaches each torque, what to set it to, and what to borrow before the wheel is off.";
export const nameIsArchived = "{name} is archived.";
export const smallestStep = "Smallest step";
export const lengthDriveToGripMm = "Length, drive to grip (mm)";
export const workshopGraver = "Workshop - Graver";
export const addAMeasuringTool = "Add a measuring tool";
export const toolUnit = "Unit";
export const standardUncertainty = "Standard uncertainty";
export const leaveOpenWhatYouDo =
  "Leave open what you do not know: the usual figure of its kind is then taken. A maker's “± 0.03” is a standard uncertainty of 0.017 (divided by the square root of three, JCGM 100).";
export const noMeasuringToolsYet = "No measuring tools yet";
export const withoutAToolOfYour =
  "Without a tool of your own every reading is taken to be as good as is usual for its kind. Add your caliper or micrometer, check its zero now and then, and Graver says what a bad zero has done to your readings, and takes it out of them.";
export const archived = "Archived";
export const connectedDevices = "Connected devices";
export const devicesThatSendTheirValue =
  "Devices that send their value into the walk-round. These are simulated: choose one there, press";
export const andTryHereWhatNoise =
  ", and try here what noise, a wrong zero or a dropped line does. What they send is made up, stays labelled, and never counts on a vehicle of your own.";
export const noDeviceIsConnectedTo = "No device is connected. To try simulated ones, start Graver with";
export const orLookAtTheDemo = ", or look at the demo.";
export const addTool = "Add tool";
export const addWrench = "Add wrench";
export const withdrawCheck = "Withdraw this check";
export const withdrawn = "Withdrawn; readings it had changed are as they were.";
