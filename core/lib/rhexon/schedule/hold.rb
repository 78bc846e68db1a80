module Rhexon
  module Schedule
    # A measure that the plan holds for: nothing goes on until it is read, nor over wood that is too wet or in air that
    # is too cold for what follows.
    module Hold
      module_function

      # @param step [Hash] of kind measure
      # @param done [Boolean] it was logged
      # @param readings [Array<Numeric>, nil] what was logged: moisture, %; air, °C and % RH
      # @param follows [Materials::Product, nil] what is laid on next
      # @yieldparam readings [Array<Numeric>] of moisture
      # @yieldreturn [Prep::Moisture::Verdict, nil]
      # @return [String, nil] why it still holds
      def why(step, done:, readings:, follows:)
        words = Words.step(step)
        return "#{words} comes first: the plan holds until it is read" unless done
        return if readings.nil? || readings.empty?

        case step["way"]
        when "moisture" then wet(words, yield(readings))
        when "air" then cold(readings, follows)
        end
      end

      def wet(words, verdict)
        return unless verdict&.says == "wet"

        "#{words} was #{verdict.mean.round(1)} %, too wet to go on: let it dry, take that reading back and " \
          "read it again"
      end

      def cold(readings, follows)
        t_c, rh = readings
        return if follows.nil? || Drying::Application.warm_enough?(follows, t_c)

        least = Drying::Application.least_c(follows)
        air = "#{format("%g", t_c)} °C#{", #{format("%g", rh)} % RH" if rh}"
        "The air was #{air}, and #{follows.name} wants #{format("%g", least)} °C at least: warm the room, take that " \
          "reading back and read it again"
      end
      private_class_method :wet, :cold
    end
  end
end
