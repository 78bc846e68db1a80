Rails.application.configure do
  config.content_security_policy do |policy|
    policy.default_src :self
    policy.font_src :self, :data
    policy.img_src :self, :data, :blob
    policy.object_src :none
    policy.script_src :self
    policy.style_src :self
    policy.connect_src :self
    policy.base_uri :none
    policy.form_action :self
    policy.frame_ancestors :none
    if Rails.env.development?
      policy.script_src :self, :unsafe_eval, :unsafe_inline, "http://#{ViteRuby.config.host_with_port}"
      policy.style_src :self, :unsafe_inline
      policy.connect_src :self, "ws://#{ViteRuby.config.host_with_port}", "http://#{ViteRuby.config.host_with_port}"
    end
  end
  unless Rails.env.development?
    config.content_security_policy_nonce_generator = ->(_request) { SecureRandom.base64(16) }
    config.content_security_policy_nonce_directives = %w[script-src style-src]
  end
end
