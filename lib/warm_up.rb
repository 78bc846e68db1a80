# The first plan after a start reads schemas, tables and the whole shop: it is made before anybody asks for it.
module WarmUp
  module_function

  # Beside the web threads and after them; whatever goes wrong here is told to those who ask for it.
  # @return [Thread]
  def begin!
    Thread.new do
      Thread.current.priority = SlowWork::PRIORITY
      Rails.application.executor.wrap { draw }
    rescue StandardError => error
      Rails.logger.info("Not warmed up: #{error.class}: #{error.message}")
    end
  end

  def draw
    return unless Shop.exists?

    floor = ShopFloor.new
    floor.draw { floor.pieces.first(2).each { |piece| floor.drawing(piece).check! } }
    ApplicationRecord.transaction { floor.keep! } unless PlannedPass.exists?
    BetterPlanJob.soon
  end
  private_class_method :draw
end
