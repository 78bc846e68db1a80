# A square code by itself, as a drawing.
class Printed::Code
  include Printed

  # @param text [String] an address
  def initialize(text)
    @text = text
  end

  # @return [String] SVG, a unit to a square, with the quiet zone that readers need
  def svg
    dark, count = squares(@text)
    side = count + 8
    path = dark.map { |column, row| "M#{column + 4} #{row + 4}h1v1h-1z" }.join
    %(<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 #{side} #{side}" role="img" aria-label="Square code">) +
      %(<rect width="#{side}" height="#{side}" fill="#fff"/><path d="#{path}" fill="#000"/></svg>)
  end
end
