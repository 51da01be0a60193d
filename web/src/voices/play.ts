let context: AudioContext | null = null;
let sounding: AudioBufferSourceNode[] = [];

/** Between two sounds that are played one after the other, in seconds. */
const A_BREATH = 0.25;

/** Plays WAVE files one after the other; what was still sounding stops. */
export async function play(files: readonly ArrayBuffer[]) {
  context ??= new AudioContext();
  await context.resume();
  for (const node of sounding) node.stop();
  sounding = [];
  let at = context.currentTime;
  for (const file of files) {
    const node = context.createBufferSource();
    // Decoding takes the buffer away: a copy is given.
    node.buffer = await context.decodeAudioData(file.slice(0));
    node.connect(context.destination);
    node.start(Math.max(at, context.currentTime));
    at = Math.max(at, context.currentTime) + node.buffer.duration + A_BREATH;
    sounding.push(node);
  }
}
