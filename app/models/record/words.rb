# The words of the log, found by SQLite's full text search: what was added since is taken in when it is asked for.
module Record::Words
  MOST_AT_ONCE = 500
  INCLUDES = [ :revision, { piece: :job }, { mix: %i[product batch] }, { cell: :board } ].freeze
  @lock = Mutex.new

  module_function

  # @param text [String] as it was typed
  # @return [String, nil] a query of FTS5: every word, or what begins with it; nil: no word in it
  def query(text)
    words = text.to_s.scan(/[[:alnum:]]+/).first(12)
    words.map { |word| "\"#{word}\"*" }.join(" ") if words.any?
  end

  # Takes in what is new.
  def refresh!
    @lock.synchronize do
      last = connection.uncached { connection.select_value("SELECT max(rowid) FROM entry_words") } || 0
      names = Shelf.products.transform_values(&:name)
      Entry.where("entries.id > ?", last).includes(*INCLUDES).find_in_batches(batch_size: MOST_AT_ONCE) do |entries|
        Entry.transaction { entries.each { |entry| take_in(entry, Record::Told.new(entry, names)) } }
      end
    end
  end

  # A name has changed: all is read again the next time.
  def forget! = connection.execute("DELETE FROM entry_words")

  def take_in(entry, told)
    codes = told.products
    row = [ entry.id, text(entry, told, codes), spaced(codes), spaced(told.batches), told.person, told.fault ]
    connection.exec_insert("INSERT INTO entry_words (rowid, words, products, batches, person, fault) " \
                           "VALUES (?, ?, ?, ?, ?, ?)", "words", row)
  end

  # All that it may be found by.
  def text(entry, told, codes)
    piece = entry.piece
    products = codes.filter_map { |code| Shelf.products[code] }.map { |product| "#{product.maker} #{product.name}" }
    lots = Batch.where(id: told.batches).pluck(:lot)
    day = Shop.current.clock.date(entry.happened_at.to_i / 60)
    [ *([ piece.name, piece.wood, piece.job.client ] if piece), told.subject, told.words, told.person, *products,
      *lots, day.iso8601, day.strftime("%-d %B %Y") ].compact.join(" ")
  end

  # With a space on either side, so that one of them is found whole.
  def spaced(list) = list.any? ? " #{list.join(" ")} " : ""
  def connection = ApplicationRecord.connection
  private_class_method :take_in, :text, :spaced, :connection
end
