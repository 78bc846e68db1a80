Typelizer.configure do |config|
  config.output_dir = Rails.root.join("app/frontend/types/generated")
  config.serializer_model_mapper = ->(_serializer) { }
  config.comments = false
end
