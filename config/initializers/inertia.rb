# The version is computed once at boot: digesting the manifest in every request can meet it half written.
manifest = Rails.root.join("public", ViteRuby.config.public_output_dir, ".vite", "manifest.json")
version = manifest.exist? ? Digest::SHA256.file(manifest).hexdigest[0, 16] : "dev"

InertiaRails.configure do |config|
  config.version = version
  config.use_script_element_for_initial_page = true
  config.use_data_inertia_head_attribute = true
  config.always_include_errors_hash = true
end
