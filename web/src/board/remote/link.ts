import { HubConnectionBuilder, HubConnectionState, LogLevel, type HubConnection } from '@microsoft/signalr';

/** Once lost, the link is tried again after so many milliseconds, and then at the last of them for ever. */
const AGAIN = [0, 1000, 3000, 5000];

/** A link to the server that comes back by itself; what it is for is said anew each time. */
export class RemoteLink {
  private readonly hub: HubConnection;
  private isEnded = false;
  private ending: Promise<void> | null = null;

  /**
   * @param enter says who this is, after each time the link was made; false where nobody is expected any more.
   * @param onLost tells whether the link is there.
   */
  constructor(
    private readonly enter: (hub: HubConnection) => Promise<boolean>,
    private readonly onLost: (isLost: boolean) => void,
    hear: Record<string, (message: unknown) => void>,
  ) {
    this.hub = new HubConnectionBuilder()
      .withUrl('/link/remote')
      .configureLogging(LogLevel.None)
      .withAutomaticReconnect({
        nextRetryDelayInMilliseconds: (c) => AGAIN[Math.min(c.previousRetryCount, AGAIN.length - 1)]!,
      })
      .build();
    for (const [method, run] of Object.entries(hear)) this.hub.on(method, run);
    this.hub.onreconnecting(() => this.onLost(true));
    this.hub.onreconnected(() => void this.come());
    this.hub.onclose(() => !this.isEnded && this.onLost(true));
  }

  /** Makes the link; false where nobody is expected. Rejects where there is no server. */
  async start(): Promise<boolean> {
    await this.hub.start();
    return this.come();
  }

  say(message: unknown) {
    // What can't be said is lost: the state is told anew when the link is back.
    if (this.hub.state === HubConnectionState.Connected) void this.hub.send('Say', message).catch(() => undefined);
  }

  /** Ends the link once: who leaves the page while the end is being said does not cut it short. */
  end(isOver: boolean): Promise<void> {
    this.isEnded = true;
    return (this.ending ??= this.ended(isOver));
  }

  private async ended(isOver: boolean) {
    if (isOver && this.hub.state === HubConnectionState.Connected) await this.hub.invoke('End').catch(() => undefined);
    await this.hub.stop();
  }

  private async come(): Promise<boolean> {
    const isExpected = await this.enter(this.hub).catch(() => false);
    this.onLost(!isExpected);
    return isExpected;
  }
}
