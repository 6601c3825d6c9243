export const connected = "connected";
export const notConnected = "not connected";
export const disconnect = "Disconnect";
export const connect = "Connect";
export const resolutionSaid = "steps of {resolution}\u00a0{unit}";
export const usualUncertainty = "{uncertainty} (usual for its kind)";
export const uncertaintyOfTool = "Standard uncertainty {said}";
export const zeroIsRight = "Zero is right";
export const zeroIsOff = "Zero is off";
export const readsLow = "reads {by} low";
export const readsHigh = "reads {by} high";
export const zeroCheckShowed = "showed {read} at {reference}\u00a0{unit} on {day}";
export const itsZeroWasNeverChecked = "Its zero has never been checked.";
export const readingsSinceGoodZero =
  "{count} {count|reading was|readings were} made with it since its zero was last good:";
export const moreCount = "and {value} more";
export const subtractZeroError = "Subtract {by} from {count} {count|reading|readings}";
export const addZeroError = "Add {by} to {count} {count|reading|readings}";
export const placeRead = "Reading";
export const read = "Read";
export const corrected = "Corrected";
export const shouldBeUnit = "Should be ({unit})";
export const readingShown = "Reading shown";
export const checkItsZero = "Check its zero";
export const archiveTool = "Archive tool";
export const leastToMostUnit = "{least} to {most}\u00a0{unit}";
export const rangeUnknown = "range unknown";
export const correctedReadingsCorrectedWhatWas = "{corrected} readings corrected. The figures you entered are kept.";
export const toolsYouOwn = "Tools you own";
export const aJobSaysEarlyWhich = "a job lists the others it needs; the measuring tools above count too";
export const aMeasuringToolAbove = "(a measuring tool above)";
export const general = "General";
export const socketsAndBits = "Sockets and bits";
export const rarelyOwned = "Rarely owned";
export const shelfAndSources = "Shelf and sources";
export const enteredInAJobsParts = "entered in a job's parts, used up when a job is finished";
export const forWhat = "For";
export const priceEach = "Price each";
export const whatToDo = "What to do";
export const onTheShelfName = "On the shelf: {name}";
export const archive = "Archive";
export const nothingYetWhatYouEnter =
  "Nothing yet. Parts, cleaner and fluid you enter for a job are kept here with their price and what is left.";
export const torqueWrenches = "Torque wrenches";
export const addATorqueWrench = "Add a torque wrench";
export const wrenchUnit = "Unit";
export const lastCalibrated = "Last calibrated";
export const wrenchNote =
  "The length is only needed for a crow-foot or an offset extension, the calibration date only for the reminder.";
export const wrench = "Wrench";
export const range = "Range";
export const length = "Length";
export const calibrated = "Calibrated";
export const lengthMm = "{lengthMm}\u00a0mm";
export const neverCalibrated = "unknown";
export const calibratedToday = "Calibrated today";
export const noneYetWithYourWrenches =
  "None yet. Add your wrenches, and a job tells you which one reaches each torque, how to set it, and what to borrow before the wheel is off.";
export const nameIsArchived = "{name} is archived.";
export const smallestStep = "Smallest step";
export const lengthDriveToGripMm = "Length, drive to grip (mm)";
export const workshopGraver = "Workshop - Graver";
export const addAMeasuringTool = "Add a measuring tool";
export const toolUnit = "Unit";
export const standardUncertainty = "Standard uncertainty";
export const leaveOpenWhatYouDo =
  "Leave blank what you don't know: Graver then uses the usual figure for its kind. A manufacturer's “± 0.03” is a standard uncertainty of 0.017 (divided by the square root of three, JCGM 100).";
export const noMeasuringToolsYet = "No measuring tools yet";
export const withoutAToolOfYour =
  "Without a tool of your own, Graver assumes the usual precision for each kind. Add your caliper or micrometer and check its zero now and then: Graver shows what a wrong zero did to your readings and corrects them.";
export const archived = "Archived";
export const connectedDevices = "Connected devices";
export const simulatedDevicesIntro =
  "Devices that send their value into the inspection. These are simulated: choose one there, press";
export const simulatedDevicesNote =
  "You can try here what noise, a wrong zero or a lost connection does. What they send is made up, stays marked as such, and never counts on your own vehicles.";
export const noDeviceNote = "No device is connected. To try simulated ones, start Graver with";
export const lookAtDemo = "Or look at the demo.";
export const addTool = "Add tool";
export const addWrench = "Add wrench";
export const withdrawCheck = "Withdraw this check";
export const withdrawn = "Check withdrawn. The readings it changed are back as entered.";
