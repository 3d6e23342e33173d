# What a page may load: its own scripts, styles, fonts and pictures only.
Rails.application.config.content_security_policy do |policy|
  policy.default_src :self
  policy.img_src :self, :data, :blob
  policy.font_src :self, :data
  policy.style_src :self, :unsafe_inline
  # Scripts of its own files only, none written into a page.
  policy.script_src :self
  policy.connect_src :self
  policy.object_src :none
  policy.frame_ancestors :none
  policy.base_uri :self
  policy.form_action :self
end

# What is logged of a request: numbers and words of a fixed list as they are; all other text, which may be a
# client's or a secret, is left out.
LOGGED = %w[controller action format kind state side way page by may form tab].freeze
Rails.application.config.filter_parameters << lambda do |name, value|
  value.replace("[FILTERED]") if value.is_a?(String) && LOGGED.exclude?(name) && !value.match?(/\A\d{1,20}\z/)
end

# In records that are inspected only what opens something is left out.
ActiveSupport.on_load(:active_record) do
  self.filter_attributes = %i[password password_digest key factor_secret recovery_codes token digest]
end
