module Rhexon
  module Drying
    # What the reading of an instrument tells of the air of its room, beyond its own hour.
    module ReadAir
      # More than that between two readings of a quarter of an hour, °C and % RH, is a jump: a door, a hand, a fault.
      # Estimates.
      JUMP_C, JUMP_RH = 6.0, 20.0
      # So long, hours, what was read last is felt: an estimate.
      FADES_H = 6
      private_constant :JUMP_C, :JUMP_RH

      module_function

      # @param one, other [#t_c, #rh] readings, °C and % RH
      def jump?(one, other) = (one.t_c - other.t_c).abs > JUMP_C || (one.rh - other.rh).abs > JUMP_RH

      # The difference to what the room is set to fades evenly over the hours to come.
      # @param off [Array(Float, Float)] °C and % RH by which what was read differs from what was set for then
      # @param set [#t_c, #rh] what the room is set to some hours on
      # @param hours [Integer] how many, 0 to FADES_H
      # @return [Array(Float, Float)] °C and % RH to expect
      def ahead(off, set, hours)
        share = 1 - hours / (FADES_H + 1.0)
        [ set.t_c + off[0] * share, (set.rh + off[1] * share).clamp(1, 100) ]
      end
    end
  end
end
