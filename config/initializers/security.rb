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

# Of what a request brings no value is logged: it may be a client's text or a secret.
Rails.application.config.filter_parameters << /./

# In records that are inspected only what opens something is left out.
ActiveSupport.on_load(:active_record) do
  self.filter_attributes = %i[password password_digest key factor_secret recovery_codes token digest]
end
