const TONES_HZ = [660, 880, 660, 880]
const TONE_S = 0.22
const BUZZ_MS = [300, 150, 300]

let sound: AudioContext | undefined

/** A browser lets a page sound only after a hand has touched it. */
export function wakeSound(): void {
  try {
    sound ??= new AudioContext()
    void sound.resume()
  } catch {
    // A device without sound shows the call all the same.
  }
}

/** What a timer that is set by hand needs: sound, and the leave to notify, where the device knows how. */
export function allowBell(): void {
  wakeSound()
  try {
    if (typeof Notification === "function" && Notification.permission === "default")
      void Notification.requestPermission()
  } catch {
    // It rings in the page alone.
  }
}

/** Sound, vibration, and a notification where it is allowed and the page is not in sight. */
export async function ring(words: string): Promise<void> {
  tones()
  navigator.vibrate?.(BUZZ_MS)
  if (!document.hidden || typeof Notification !== "function" || Notification.permission !== "granted") return
  const worker = await navigator.serviceWorker?.getRegistration()
  const options = { body: words, tag: words, icon: "/icon.svg" }
  await (worker ? worker.showNotification("Rhexon", options) : new Notification("Rhexon", options))
}

function tones(): void {
  if (sound?.state !== "running") return
  for (const [index, hertz] of TONES_HZ.entries()) {
    const tone = new OscillatorNode(sound, { frequency: hertz })
    const volume = new GainNode(sound, { gain: 0.3 })
    tone.connect(volume).connect(sound.destination)
    tone.start(sound.currentTime + index * TONE_S)
    tone.stop(sound.currentTime + (index + 0.8) * TONE_S)
  }
}
