// Waits beside the page: a browser slows the clocks of pages that are in the background, and not those of workers.
let waiting: ReturnType<typeof setTimeout> | undefined

addEventListener("message", ({ data }: MessageEvent<number | null>) => {
  clearTimeout(waiting)
  if (data !== null) waiting = setTimeout(() => postMessage(data), Math.max(data - Date.now(), 0))
})
