import { lazyApi } from "../../api/lazyApi";
import { api, Refusal, type Schemas } from "../../api/client";

/** The devices for the inspection, and the last error of one. */
export class BenchDevices {
  all = $state.raw<Schemas["Device"][]>([]);
  says = $state("");

  async load(): Promise<void> {
    this.all = (await api.devices()).devices;
  }

  find(id: string | null | undefined): Schemas["Device"] | undefined {
    return this.all.find((device) => device.id === id);
  }

  sending(quantity: string): Schemas["Device"] | undefined {
    return this.all.find((device) => device.quantities.includes(quantity));
  }

  /** The device's reading, or nothing; then `says` has the reason. */
  async ask(device: Schemas["Device"], what: Schemas["DeviceAsked"]): Promise<Schemas["Sample"] | null> {
    try {
      this.says = "";
      return await lazyApi.deviceReading(device.id, what);
    } catch (error) {
      this.says = error instanceof Refusal ? error.message : String(error);
      await this.load();
      return null;
    }
  }

  async reconnect(id: string): Promise<void> {
    await lazyApi.changeDevice(id, { connected: true });
    await this.load();
    this.says = "";
  }
}
