# A label as a drawing or on paper.
module SendsLabel
  private

  # @param label [Label]
  # @param name [String] of the file
  def send_label(label, name)
    respond_to do |format|
      format.svg { render body: label.svg, content_type: "image/svg+xml" }
      format.pdf { send_data label.pdf, filename: "#{name}.pdf", type: "application/pdf", disposition: "inline" }
    end
  end
end
