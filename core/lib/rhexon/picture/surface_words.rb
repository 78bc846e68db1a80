module Rhexon
  module Picture
    # What a pass leaves of a face, said where it has changed.
    module SurfaceWords
      GRAIN = { "standing" => "the grain stands up", "settled" => "the grain lies down again" }.freeze
      RESIDUE = {
        "oil" => "oil on it, to be wiped off", "wax" => "wax on it: nothing but wax holds now",
        "stripper" => "stripper on it, to be washed off", "dust" => "dust on it"
      }.freeze

      module_function

      # @param moment [Work::Walk::Snapshot]
      # @return [Array<String>]
      def of(moment)
        [ sheen(moment), pores(moment), changed(moment, :grain, GRAIN), changed(moment, :residue, RESIDUE) ].compact
      end

      def sheen(moment)
        gu = moment.after.sheen_gu
        return if gu.nil? || gu == moment.before.sheen_gu

        "#{Prep::Sheen.name(gu)}, #{gu.round} GU#{", near hazy" if moment.after.hazy}"
      end

      def pores(moment)
        filled = moment.after.pores_filled
        return if filled <= moment.before.pores_filled || moment.placement.pass.kind != "fill"

        "pores #{moment.after.pores}, #{(filled * 100).round} % full"
      end

      def changed(moment, member, words)
        now = moment.after[member]
        words[now] unless now == moment.before[member]
      end
      private_class_method :sheen, :pores, :changed
    end
  end
end
