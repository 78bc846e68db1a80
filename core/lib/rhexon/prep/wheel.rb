module Rhexon
  module Prep
    # Speed of a buffing wheel at its rim: v = pi D n / 60.
    module Wheel
      module_function

      # @param rpm [Numeric]
      # @param mm [Numeric] diameter
      # @return [Float] m/s
      def rim_m_per_s(rpm, mm) = Math::PI * mm / 1000.0 * rpm / 60

      # @return [Array(Integer, Integer)] turns a minute that keep to the speed a hard film bears
      def rpm_range(mm)
        [ table.least_m_per_s, table.most_m_per_s ].map { |speed| (60 * speed / (Math::PI * mm / 1000.0)).round }
      end

      # @return [Numeric] mm
      def usual_mm = table.usual_mm

      # @return [Boolean]
      def too_fast?(rpm, mm) = rim_m_per_s(rpm, mm) > table.most_m_per_s

      def table = Reference.abrasives.wheel
      private_class_method :table
    end
  end
end
