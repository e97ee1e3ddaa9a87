package zestymarten.web.help;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import org.commonmark.Extension;
import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.ext.gfm.tables.TableRow;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Code;
import org.commonmark.node.CustomNode;
import org.commonmark.node.Heading;
import org.commonmark.node.Node;
import org.commonmark.node.Text;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;

/**
 * A document in Markdown as a part of a page: its headings carry an identifier by which they are linked to.
 *
 * @param html made from our own documents alone; HTML in them is shown as text
 * @param contents the headings of the second level, in order
 */
record HelpText(String html, List<Section> contents) {
    private static final List<Extension> TABLES = List.of(TablesExtension.create());

    HelpText {
        contents = List.copyOf(contents);
    }

    /** A heading and its identifier. */
    record Section(String id, String title) {}

    /**
     * Reads a document that ships with the application.
     *
     * @param without headings of table columns that are left out, such as where a word lives in the code
     */
    static HelpText read(String resource, Set<String> without) {
        try (InputStream in = Objects.requireNonNull(
                HelpText.class.getResourceAsStream(resource),
                "No document " + resource + " ships with the application.")) {
            return of(new String(in.readAllBytes(), StandardCharsets.UTF_8), without);
        } catch (IOException e) {
            throw new UncheckedIOException("The document " + resource + " cannot be read.", e);
        }
    }

    static HelpText of(String markdown, Set<String> without) {
        Node document = Parser.builder().extensions(TABLES).build().parse(markdown);
        document.accept(new Columns(without));
        Headings headings = new Headings();
        document.accept(headings);
        String html = HtmlRenderer.builder()
                .extensions(TABLES)
                .escapeHtml(true)
                .sanitizeUrls(true)
                .attributeProviderFactory(context -> (node, tag, attributes) -> {
                    if (node instanceof Heading heading) {
                        attributes.put("id", id(words(heading)));
                    } else if (tag.equals("table")) {
                        attributes.put("class", "list");
                    }
                })
                .build()
                .render(document);
        return new HelpText(html, headings.sections);
    }

    private static String id(String title) {
        return title.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    }

    private static String words(Node node) {
        StringBuilder words = new StringBuilder();
        node.accept(new AbstractVisitor() {
            @Override
            public void visit(Text text) {
                words.append(text.getLiteral());
            }

            @Override
            public void visit(Code code) {
                words.append(code.getLiteral());
            }
        });
        return words.toString();
    }

    private static final class Headings extends AbstractVisitor {
        private final List<Section> sections = new ArrayList<>();

        @Override
        public void visit(Heading heading) {
            if (heading.getLevel() == 2) {
                sections.add(new Section(id(words(heading)), words(heading)));
            }
        }
    }

    /** Takes columns out of tables, by what their head says. */
    private static final class Columns extends AbstractVisitor {
        private final Set<String> without;
        private final List<Integer> places = new ArrayList<>();

        Columns(Set<String> without) {
            this.without = without;
        }

        @Override
        public void visit(CustomNode node) {
            if (node instanceof TableRow row) {
                cut(row);
            } else {
                visitChildren(node);
            }
        }

        private void cut(TableRow row) {
            List<TableCell> cells = new ArrayList<>();
            for (Node each = row.getFirstChild(); each != null; each = each.getNext()) {
                cells.add((TableCell) each);
            }
            boolean head = !cells.isEmpty() && cells.get(0).isHeader();
            if (head) {
                places.clear();
                for (int i = 0; i < cells.size(); i++) {
                    if (without.contains(words(cells.get(i)))) {
                        places.add(i);
                    }
                }
            }
            places.stream()
                    .filter(each -> each < cells.size())
                    .forEach(each -> cells.get(each).unlink());
        }
    }
}
