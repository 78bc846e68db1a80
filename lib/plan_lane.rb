# Plans are made one at a time: whoever waits behind another finds it made, where nothing was written since. Who writes
# does not wait here: whoever is in the lane may wait for the write.
module PlanLane
  LANE = Monitor.new
  private_constant :LANE

  module_function

  def turn(&work) = ApplicationRecord.connection.transaction_open? ? work.call : LANE.synchronize(&work)
end
