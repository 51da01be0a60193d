import { LONGEST, RATE, resampled, tidied, type Sound } from './sound';

/** Why nothing could be recorded: the browser has no microphone, or may not use it. */
export class NoMicrophone extends Error {}

/** A recording that runs: what was said once it is stopped, by a hand or after the longest; null for silence. */
export interface Running {
  stop: () => void;
  done: Promise<Sound | null>;
}

/** Records from the microphone of this device, until it is stopped. Nothing leaves the device by itself. */
export async function record(): Promise<Running> {
  let stream: MediaStream;
  try {
    stream = await navigator.mediaDevices.getUserMedia({ audio: { channelCount: 1, noiseSuppression: true } });
  } catch {
    throw new NoMicrophone();
  }
  const recorder = new MediaRecorder(stream);
  const parts: Blob[] = [];
  recorder.ondataavailable = (e) => parts.push(e.data);
  const done = new Promise<Sound | null>((resolve, reject) => {
    recorder.onstop = () => {
      for (const track of stream.getTracks()) track.stop();
      heard(new Blob(parts)).then(resolve, reject);
    };
  });
  recorder.start();
  const timer = setTimeout(() => recorder.state === 'recording' && recorder.stop(), LONGEST * 1000);
  return {
    done,
    stop: () => {
      clearTimeout(timer);
      if (recorder.state === 'recording') recorder.stop();
    },
  };
}

async function heard(file: Blob): Promise<Sound | null> {
  const context = new AudioContext();
  try {
    const buffer = await context.decodeAudioData(await file.arrayBuffer());
    const made = tidied({ samples: buffer.getChannelData(0), rate: buffer.sampleRate });
    return made && resampled(made, RATE);
  } finally {
    await context.close();
  }
}
