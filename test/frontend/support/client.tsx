import { QueryClientProvider } from "@tanstack/react-query"
import { type RenderHookOptions, type RenderOptions, render, renderHook } from "@testing-library/react"
import type { ReactNode } from "react"
import { requestClient } from "@/lib/requests"

/** A client of its own for each tree, as each open page has one. */
const Client = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={requestClient()}>{children}</QueryClientProvider>
)

/** Renders what sends or asks. */
export const renderPage = (page: ReactNode, options: RenderOptions = {}) =>
  render(page, { wrapper: Client, ...options })

export function renderPageHook<Result, Props>(hook: (props: Props) => Result, options: RenderHookOptions<Props> = {}) {
  const client = requestClient()
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  )
  return renderHook(hook, { wrapper, ...options })
}
