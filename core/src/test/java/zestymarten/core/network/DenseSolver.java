package zestymarten.core.network;

import java.util.ArrayList;
import java.util.List;

/** A second opinion: injects one ampere and solves Kirchhoff's equations by plain elimination over the whole network. */
final class DenseSolver {
    private DenseSolver() {}

    static double resistance(List<Link> links, String from, String to) {
        List<String> nodes = new ArrayList<>();
        for (Link link : links) {
            for (String name : List.of(link.a().name(), link.b().name())) {
                if (!nodes.contains(name)) {
                    nodes.add(name);
                }
            }
        }
        int size = nodes.size();
        double[][] rows = new double[size][size + 1];
        for (Link link : links) {
            int a = nodes.indexOf(link.a().name());
            int b = nodes.indexOf(link.b().name());
            double siemens = 1 / link.nominal().value();
            rows[a][a] += siemens;
            rows[b][b] += siemens;
            rows[a][b] -= siemens;
            rows[b][a] -= siemens;
        }
        rows[nodes.indexOf(from)][size] = 1;
        rows[nodes.indexOf(to)] = new double[size + 1];
        rows[nodes.indexOf(to)][nodes.indexOf(to)] = 1; // earthed
        return eliminate(rows)[nodes.indexOf(from)];
    }

    private static double[] eliminate(double[][] rows) {
        int size = rows.length;
        for (int column = 0; column < size; column++) {
            int pivot = column;
            for (int row = column; row < size; row++) {
                if (Math.abs(rows[row][column]) > Math.abs(rows[pivot][column])) {
                    pivot = row;
                }
            }
            double[] swap = rows[pivot];
            rows[pivot] = rows[column];
            rows[column] = swap;
            if (Math.abs(rows[column][column]) < 1e-300) {
                rows[column][column] = 1; // another component: its potential is of no interest
            }
            for (int row = 0; row < size; row++) {
                double factor = row == column ? 0 : rows[row][column] / rows[column][column];
                for (int k = column; k <= size && factor != 0; k++) {
                    rows[row][k] -= factor * rows[column][k];
                }
            }
        }
        double[] solution = new double[size];
        for (int i = 0; i < size; i++) {
            solution[i] = rows[i][size] / rows[i][i];
        }
        return solution;
    }
}
