# Answers are plain values already and are written as they are; what is not plain (times, records, figures that are no
# numbers) goes the usual way.
class PlainJson < ActiveSupport::JSON::Encoding::JSONGemEncoder
  def encode(value)
    options.empty? ? escaped(JSON.generate(value, strict: true)) : super
  rescue JSON::GeneratorError
    super
  end

  private

  # As Active Support does: nothing in it ends a script element.
  def escaped(json) = ERB::Util.json_escape(json)
end

ActiveSupport.json_encoder = PlainJson
