# An instrument that is held on the work, with what it sent in the last minutes.
class HandInstrumentSerializer < ApplicationSerializer
  typelize id: :number, name: :string, kind: :string, words: :string, unit: :string, stand_in: [ :string, NULLABLE ],
           readings: "Array<{ at: number; value: number[]; jump: boolean }>", last_at: [ :number, NULLABLE ]
  attributes :id, :name, :kind, :stand_in
  attribute(:words) { |one| Instrument::Hand::MEASURES.fetch(one.kind).words }
  attribute(:unit) { |one| Instrument::Hand::MEASURES.fetch(one.kind).unit }
  attribute(:last_at) { |one| one.hand_readings.last&.then { |reading| reading.at.to_i / 60 } }
  attribute(:readings) do |one|
    one.hand_readings.select(&:fresh?).map do |reading|
      { at: reading.at.to_i / 60, value: reading.value, jump: reading.jump }
    end
  end
end
