export { begin } from "@/worker/begin"
