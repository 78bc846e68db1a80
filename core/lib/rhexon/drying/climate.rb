module Rhexon
  module Drying
    # Steady air in a room.
    # @!attribute t_c [Float] °C
    # @!attribute rh  [Float] relative humidity, %
    # @!attribute air [String] still, ordinary, moving or cabinet
    Climate = Struct.new(:t_c, :rh, :air, keyword_init: true) do
      def initialize(t_c:, rh:, air: "ordinary")
        where = "climate"
        Rhexon.refuse_unless(t_c.is_a?(Numeric) && t_c.between?(-20, 60), "A room cannot be at #{t_c} °C",
                             where: "#{where}/t_c", accepted: "-20 to 60 °C")
        Rhexon.refuse_unless(rh.is_a?(Numeric) && rh.between?(1, 100), "Humidity cannot be #{rh} %",
                             where: "#{where}/rh", accepted: "1 to 100 %")
        known = Reference.drying.air
        Rhexon.refuse_unless(
          known.key?(air), "Air movement '#{air}' is not known", where: "#{where}/air", accepted: known.keys.join(", ")
        )
        super(t_c: t_c.to_f, rh: rh.to_f, air: air)
        freeze
      end

      def dew_point_c = Air.dew_point_c(t_c, rh)
    end
  end
end
