# Which backups are kept: the last of each hour for a day, of each day for two weeks, of each week for two months, and
# the newest ones in any case. Estimates of what a shop wants back.
module Shop::Backup::Keeping
  NEWEST = 3
  # How long, and what of each is kept.
  RULES = { 1.day => "%Y%m%d%H", 14.days => "%Y%m%d", 56.days => "%G%V" }.freeze

  module_function

  # @param times [Array<Time>]
  # @return [Array<Time>] that are kept
  def kept(times, now: Time.current)
    sorted = times.sort.reverse
    of_rules = RULES.flat_map do |span, slot|
      sorted.select { |at| at > now - span }.group_by { |at| at.utc.strftime(slot) }.map { |_, mine| mine.first }
    end
    (sorted.first(NEWEST) + of_rules).uniq
  end

  # Lets go of the others, and of what a machine that went down had only half let go of.
  # @return [Array<String>] names of those that are gone
  def tidy!(now: Time.current)
    all = Shop::Backup.all
    kept = kept(all.map(&:made_at), now: now)
    all.reject { |one| kept.include?(one.made_at) }.each { |one| File.rename(one.path, going(one.name)) }
      .tap { Shop::Backup.root.glob(going("*").basename.to_s).each { |path| FileUtils.rm_rf(path) } }.map(&:name)
  end

  # First it is no backup any more, and then it is gone.
  def going(name) = Shop::Backup.root.join(".going-#{name}")
  private_class_method :going
end
