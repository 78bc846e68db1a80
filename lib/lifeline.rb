# Loaded into a process that works for another one (ruby -r): it ends when the other one is gone, however that came
# about, or when it has worked for too long. The other one holds the writing end of a pipe; its reading end is the file
# descriptor in LIFELINE, the most seconds stand in LIFELINE_S.
require "io/wait"

lifeline = IO.for_fd(Integer(ENV.fetch("LIFELINE")))
Thread.new do
  lifeline.wait_readable(Float(ENV.fetch("LIFELINE_S")))
  exit!(75)
end
