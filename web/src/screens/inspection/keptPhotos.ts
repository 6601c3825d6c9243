/** A photo a pad was measured in, kept on this device until the inspection is saved. reading: what it came to. */
export interface KeptPhoto {
  vehicle: number;
  place: string;
  reading: string;
  photo: Blob;
}

const STORE = "photos";

async function inStore<T>(mode: IDBTransactionMode, ask: (store: IDBObjectStore) => IDBRequest<T>): Promise<T> {
  const opening = indexedDB.open("graver", 1);
  opening.onupgradeneeded = () => opening.result.createObjectStore(STORE, { keyPath: ["vehicle", "place"] });
  const database = await answered(opening);
  try {
    return await answered(ask(database.transaction(STORE, mode).objectStore(STORE)));
  } finally {
    database.close();
  }
}

function answered<T>(request: IDBRequest<T>): Promise<T> {
  return new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error ?? new Error("not kept"));
  });
}

const ofVehicle = (vehicle: number) => IDBKeyRange.bound([vehicle, ""], [vehicle, "\uffff"]);

/** In place of an earlier one of the same place. */
export const keepPhoto = (photo: KeptPhoto) => inStore("readwrite", (store) => store.put(photo));
export const keptPhotos = (vehicle: number): Promise<KeptPhoto[]> =>
  inStore("readonly", (store) => store.getAll(ofVehicle(vehicle)));
export const dropPhotos = (vehicle: number) => inStore("readwrite", (store) => store.delete(ofVehicle(vehicle)));
