# A label for a jar: what is in it, when it was made and until when it is good.
class Batch::Label < Label
  def initialize(batch, url)
    super(url)
    @batch = batch
  end

  # @return [Array<String>] lines of text, the name first
  def lines
    dates = [
      @batch.made_on && "#{@batch.state == "sealed" ? "came" : "made"} #{day(@batch.made_on)}",
      (@batch.opened_on && @batch.opened_on != @batch.made_on ? "opened #{day(@batch.opened_on)}" : nil)
    ].compact.join(", ")
    [
      @batch.name, "#{@batch.code}#{"  lot #{@batch.lot}" if @batch.lot}",
      "#{@batch.kept ? "touch-up, " : ""}#{@batch.state}", dates, good
    ].compact_blank
  end

  private

  def good
    if @batch.usable_until
      return "usable to #{@batch.usable_until.in_time_zone(Shop.current.zone).strftime("%-d %b %H:%M")}"
    end

    @batch.expires_on && "good to #{day(@batch.expires_on)}"
  end
end
