# What became of readings that an instrument sent.
# @!attribute taken, marked [Integer]
# @!attribute refused [Array<Hash>] "reading" (its number, from 1) and "sentence"
Instrument::Report = Struct.new(:taken, :marked, :refused, keyword_init: true)
