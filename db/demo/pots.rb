module Demo
  # [product, amount, minutes ago, what became of it]
  POTS = [ [ "w20", "600 ml", 4 * 1440 + 90, :thrown_away ], [ "s40", "300 ml", 50, :stands ] ].freeze

  module_function

  # Mixes of the past days: one was thrown away after its pot life, one stands on the bench.
  def pots!(now)
    POTS.each do |code, amount, minutes, fate|
      mix = Mix::Start.alone!({ "product" => code, "want" => { "amount" => amount }, "room" => "spray room" })
      began = now - minutes.minutes
      mix.sheet.pours.each_with_index do |pour, index|
        Mix::Desk.new(mix).pour!(
          {
            "client_id" => "demo-pot-#{code}-#{index}", "name" => pour.name,
            "g" => (pour.g * (1 + 0.004 * (index + 1))).round(1)
          },
          happened_at: began + index.minutes
        )
      end
      batch = Mix::Desk.new(mix).finish!(client_id: "demo-pot-#{code}", happened_at: began + 3.minutes)
      if fate == :thrown_away
        batch.discard!(client_id: "demo-pot-#{code}-out", at: began + 6.hours)
      else
        batch.weigh!((batch.left_g * 0.62).round, client_id: "demo-pot-#{code}-used")
      end
    end
  end
end
